# Files of a project: dropped, set, taken out.
module Api
  class DocumentsController < BaseController
    def create
      position = project.documents.maximum(:position).to_i
      documents = uploads(:files).map do |file|
        document = project.documents.new(position: position += 1, name: File.basename(file.original_filename.to_s.tr("\\", "/")), byte_size: file.size, checksum: Digest::SHA256.file(file.tempfile.path).hexdigest)
        document.original.attach(io: file, filename: document.name, identify: false)
        document.save!
        document
      end
      documents.each(&:read_later)
      answer(DocumentResource.new(documents), status: :created)
    end

    def update
      if document.project.begun?
        return refuse("begun", "The project has begun; how its files are cut can no longer be changed here.")
      end

      document.update!(params.permit(:by))
      document.read_later
      answer(DocumentResource.new(document))
    end

    def destroy
      return refuse("begun", "The project has begun; its files stay.") if document.project.begun?

      document.destroy!
      head :no_content
    end

    private

    def document = @document ||= Document.where(project: current_user.projects).find(params[:id])
  end
end
