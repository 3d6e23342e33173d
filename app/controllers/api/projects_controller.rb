# Projects, and briefs that are not projects yet.
module Api
  class ProjectsController < BaseController
    FIELDS = %i[name reference client_id subject description source_lang target_lang due_at].freeze

    def show = answer(ProjectResource.new(project))

    def create = answer(ProjectResource.new(current_user.projects.create!), status: :created)

    def update
      fields = params.permit(*FIELDS)
      current_user.clients.find(fields[:client_id]) if fields[:client_id].present?
      retargeted = fields.key?(:target_lang) && fields[:target_lang] != project.target_lang
      project.transaction do
        project.update!(fields)
        project.opened_at = Time.current if params[:opened]
        project.save!
        if params.key?(:memories)
          project.attach(
            params[:memories].map { |row| row.permit(:memory_id, :learns, :read_only, :penalty).to_h }
          )
        end
        project.propose if !project.begun? && (fields.keys & %w[client_id source_lang]).any?
      end
      # Plural forms and the like go by the target language.
      if retargeted && !project.begun?
        project
          .documents
          .select { |document| document.ready? && document.depends_on_target? }
          .each(&:read_later)
      end
      answer(ProjectResource.new(project.reload))
    end

    def destroy
      project.put_away
      head :no_content
    end
  end
end
