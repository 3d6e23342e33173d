# A newer version of a file: proposed and compared, taken in, left, or put back.
module Api
  class VersionsOfFilesController < BaseController
    # What is otherwise in it, as a workbook.
    def show
      report = Document::VersionReport.new(document)
      send_data report.xlsx, filename: report.name, type: "application/octet-stream"
    end

    def create
      old = document
      file = uploads(:files).first
      answer(
        DocumentResource.new(
          old.propose_version(file, file.original_filename)
        ),
        status: :created
      )
    end

    def update
      unless document.role == "pending" && document.ready?
        raise Glossema::Refused.new("not-compared")
      end

      document.take_in(by: current_user)
      answer(DocumentResource.new(document))
    end

    # A pending version is thrown away; one that was taken in gives its place back.
    def destroy
      unless document.role == "pending"
        return answer(DocumentResource.new(document.put_back(by: current_user)))
      end

      document.destroy!
      head :no_content
    end

    private

    def document = @document ||= Document.where(project: current_user.projects).find(params[:document_id])
  end
end
