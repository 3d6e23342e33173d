# A hand-over or an archive that came in: looked at, then made a project.
module Api
  class HandOversController < BaseController
    # params: file; take: it becomes a project.
    def create
      file = uploads(:file).first
      received = HandOver.read(file.read, file.original_filename)
      return render(json: { look: received.look }) unless params[:take]

      answer(ProjectResource.new(received.take(current_user)), status: :created)
    end
  end
end
