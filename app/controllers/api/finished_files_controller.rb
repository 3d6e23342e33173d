# A file as it would go out now, made on the spot: nothing is recorded.
module Api
  class FinishedFilesController < BaseController
    def show
      document = Document.where(project: current_user.projects).find(params[:document_id])
      raise Glossema::Refused.new("not-read-yet", name: document.name) unless document.ready?

      placed = Document::Placed.open(document)
      name = DeliveredFile.name_for(document, placed.opened.format)
      send_data placed.bytes, filename: File.basename(name), type: "application/octet-stream"
    end
  end
end
