# Long work whose act tells how it went: where it is refused or fails, the act says why.
module ToldByAct
  extend ActiveSupport::Concern

  included do
    around_perform do |job, work|
      work.call
    rescue Glossema::Refused => e
      job.say_why(e.message)
    rescue StandardError
      job.say_why(I18n.t("background.fault"))
      raise
    end
  end

  def say_why(message)
    act = arguments.first
    act.update!(facts: act.facts.merge("state" => "failed", "message" => message))
  end
end
