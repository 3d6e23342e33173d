# Alignments of finished files: made of dropped ones, listed, named, given to a memory, taken away.
module Api
  class AlignmentsController < BaseController
    takes files: [:file], project_id: :id, name: :text, subject: :text, client_id: :id, memory_id: :id,
      source_lang: :text, target_lang: :text, as: :text

    FIELDS = %i[name subject client_id memory_id source_lang target_lang].freeze

    def index = answer(AlignmentResource.new(current_user.alignments.order(id: :desc)))

    # params: files; source_lang, target_lang: found where they are left out; project_id: of the project whose
    # older translation they are.
    def create
      dropped = Alignment::Dropped.new(current_user, uploads(:files))
      served = params[:project_id] && current_user.projects.find(params[:project_id])
      tags = served&.slice("source_lang", "target_lang") || params.permit(:source_lang, :target_lang).to_h
      made = dropped.make(**tags.compact_blank.symbolize_keys, project: served)
      render json: { alignments: AlignmentResource.new(made).to_h, left: dropped.left(made) },
        status: :created
    end

    # params: as: "tmx" or "xlsx", what is confirmed as a file.
    def show
      return send_file_of(params[:as]) if %w[tmx xlsx].include?(params[:as])

      render json: { alignment: AlignmentResource.new(alignment).to_h, beads: alignment.shown }
    end

    # Another language: aligned anew. params: of FIELDS.
    def update
      given = params.permit(*FIELDS).to_h.symbolize_keys
      reached(Memory, given[:memory_id], right: "add") if given[:memory_id]
      current_user.clients.find(given[:client_id]) if given[:client_id]
      alignment.assign_attributes(given)
      other = alignment.other_languages?
      alignment.save!
      alignment.align_later if other
      answer(AlignmentResource.new(alignment))
    end

    def destroy
      alignment.destroy!
      head :no_content
    end

    private

    def alignment = @alignment ||= current_user.alignments.find(params[:id])

    def send_file_of(form)
      send_data alignment.public_send(form), filename: "#{alignment.name}.#{form}",
        type: "application/octet-stream"
    end
  end
end
