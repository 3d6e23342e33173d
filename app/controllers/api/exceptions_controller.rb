# "Never split after this": an exception put into the rules of a project from its text.
module Api
  class ExceptionsController < BaseController
    def create
      rules = Rules.new(project)
      text = params[:text].to_s.strip
      return refuse("text-empty") if text.empty?

      before = project.rules
      rules.keep(rules.srx.excepting(project.source_lang, text))
      ProjectAct.note(project, current_user, "rules", name: text, before: { rules: before })
      RecutJob.perform_later(project, current_user)
      head :no_content
    end
  end
end
