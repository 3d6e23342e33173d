# "Never split after this": an exception put into the rules of a project from its text.
module Api
  class ExceptionsController < BaseController
    takes text: :text

    def create
      rules = Rules.new(project)
      text = params[:text].to_s.strip
      return refuse("text-empty") if text.empty?

      before = project.rules
      rules.keep(rules.srx.excepting(project.source_lang, text))
      started(Operations::RulesChange.start(project, by: current_user, summary: text,
        before: { "rules" => before }))
    end
  end
end
