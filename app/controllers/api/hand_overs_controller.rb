# A hand-over or an archive that came in: previewed, then opened as a project.
module Api
  class HandOversController < BaseController
    takes file: :file, take: :flag

    # params: file; take: it becomes a project, and the operation is answered.
    def create
      file = uploads(:file).first
      received = HandOver.read(file.read, file.original_filename)
      return render(json: { look: received.look }) unless params[:take]

      file.rewind
      started(Operations::PackageImport.start(current_user, by: current_user, files: [file],
        summary: file.original_filename))
    end
  end
end
