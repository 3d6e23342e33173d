# Files of a project: dropped, set, taken out.
module Api
  class DocumentsController < BaseController
    def create
      names = project.documents.pluck(:name)
      films = DroppedFilms.new(uploads(:files))
      films.check(names + films.texts.map(&:original_filename))
      position = project.documents.maximum(:position).to_i
      documents =
        films.texts.map do |file|
          document =
            project.documents.new(
              position: position += 1,
              name: file.original_filename,
              byte_size: file.size,
              checksum: Digest::SHA256.file(file.tempfile.path).hexdigest
            )
          document.original.attach(io: file, filename: document.name, identify: false)
          document.save!
          document
        end
      documents.each { |document| document.note(current_user, "file-in") } if project.begun?
      films.put(documents + project.documents.to_a)
      documents.each(&:read_later)
      answer(DocumentResource.new(documents), status: :created)
    end

    def update
      return bring_back if params[:put_away] == false

      before = document.slice(:by, :options)
      document.assign_attributes(
        { by: params[:by], options: new_options }.compact
      )
      # What the file cannot be read by is refused before it is kept: the work goes on with what was.
      document.opened(as_stored: false) if document.project.begun?
      document.save!
      # Once the work has begun what is translated is kept.
      if document.project.begun?
        document.note(current_user, "settings", before: before)
        RecutJob.perform_later(document.project, current_user, [document])
      else
        document.read_later
      end
      answer(DocumentResource.new(document))
    end

    def destroy
      document.put_away(by: current_user)
      head :no_content
    end

    private

    def new_options
      params[:options] && document.options.merge(document.known_options(params[:options]))
    end

    def bring_back
      document.bring_back
      answer(DocumentResource.new(document))
    end

    def document = @document ||= Document.where(project: current_user.projects).find(params[:id])
  end
end
