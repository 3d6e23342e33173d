# Files of a project: dropped, set, taken out.
module Api
  class DocumentsController < BaseController
    takes files: [:file], by: :text, options: :any, deleted: :flag, read_again: :flag

    def create
      names = project.documents.pluck(:name)
      films = DroppedFilms.new(uploads(:files))
      films.check(names + films.texts.map(&:original_filename))
      stored = films.texts.map { |file| [file, BytesFirst.stored(file)] }
      documents = project.with_lock { stored.map { |file, blob| document_of(file, blob) } }
      films.put(documents + project.documents.reload.to_a)
      documents.each(&:read_later)
      answer(DocumentResource.new(documents), status: :created)
    end

    # Once the project has begun this is an operation, and is answered as one: what is translated is kept.
    # read_again: as the readers find it now.
    def update
      return bring_back if params[:deleted] == false
      return read_again if params[:read_again]

      changed = { by: params[:by], options: new_options }.compact
      return started(change_settings(changed)) if document.project.begun?

      document.update!(changed)
      document.read_later
      answer(DocumentResource.new(document))
    end

    def destroy
      document.move_to_trash(by: current_user)
      head :no_content
    end

    private

    def document_of(file, blob)
      made = project.documents.new(
        position: project.documents.maximum(:position).to_i + 1, name: file.original_filename,
        byte_size: file.size, checksum: Digest::SHA256.file(file.tempfile.path).hexdigest
      )
      made.original.attach(blob)
      made.save!
      made.note(Operations::FileAddition, current_user) if project.begun?
      made
    end

    def change_settings(changed)
      Operations::FileSettings.start(document.project, by: current_user, summary: document.name,
        input: { "document_id" => document.id, **changed.stringify_keys },
        before: { "document_id" => document.id, **document.slice(:by, :options) })
    end

    def new_options
      params[:options] && document.options.merge(document.known_options(params[:options]))
    end

    def read_again
      raise Glossema::Refused.new("not-read-yet", name: document.name) unless document.ready?

      started(Operations::FileRereading.start(document.project, by: current_user, summary: document.name,
        input: { "document_id" => document.id }))
    end

    def bring_back
      document.bring_back
      answer(DocumentResource.new(document))
    end

    def document = @document ||= Document.where(project: current_user.projects).find(params[:id])
  end
end
