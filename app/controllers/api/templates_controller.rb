# Project templates: listed, made of a project; a template is edited as a project is.
module Api
  class TemplatesController < BaseController
    takes name: :text

    def index = answer(TemplateResource.new(current_user.projects.templates.includes(:client).order(:name)))

    def create
      made = project.save_as_template(params[:name].to_s.strip)
      answer(TemplateResource.new(made), status: :created)
    end
  end
end
