# A review sheet that came back.
module Api
  class ReviewSheetsController < BaseController
    takes file: :file

    # params: file; the round is told by the sheet. Answers the operation.
    def create
      project
      file = uploads(:file).first
      started(Operations::ReviewReturn.start(project, by: current_user, files: [file],
        summary: file.original_filename))
    end
  end
end
