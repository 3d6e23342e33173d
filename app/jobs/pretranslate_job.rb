# Looks what segments would get from the memories of a project, or writes what was found.
class PretranslateJob < ApplicationJob
  include ToldByAct

  def perform(act)
    return if act.undone_at

    ahead = Pretranslation.new(act)
    case act.facts["state"]
    when "looking" then ahead.look
    when "writing" then ahead.write
    end
  end

  def say_why(message)
    super
    act = arguments.first
    act.project.announce(Pretranslation::KIND, id: act.id)
  end
end
