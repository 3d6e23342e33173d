# A newer version of a file: proposed and compared, accepted, discarded, or reverted.
module Api
  class VersionsOfFilesController < BaseController
    takes files: [:file]

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

      started(operation(Operations::FileRevision))
    end

    # A pending version is discarded; one that was accepted gives its place back, which is an operation.
    def destroy
      return started(operation(Operations::FileReversion)) unless document.role == "pending"

      document.purge
      head :no_content
    end

    private

    def operation(kind)
      kind.start(document.project, by: current_user, summary: document.name,
        input: { "document_id" => document.id })
    end

    def document = @document ||= Document.where(project: current_user.projects).find(params[:document_id])
  end
end
