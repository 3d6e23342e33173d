# A file as it would go out now, made on the spot: nothing is recorded.
module Api
  class FinishedFilesController < BaseController
    def show
      document = Document.where(project: current_user.projects).find(params[:document_id])
      raise Glossema::Refused.new("not-read-yet", name: document.name) unless document.ready?

      send_data document.written, filename: DeliveredFile.name_for(document, document.opened.format),
        type: "application/octet-stream"
    end
  end
end
