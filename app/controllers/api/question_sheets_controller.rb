# The questions to the client as a file that is answered elsewhere, and the answers back from it.
module Api
  class QuestionSheetsController < BaseController
    takes as: :text, file: :file, by: :text

    # params: as: "docx" or "xlsx".
    def show
      sheet = Note::Questions.new(project)
      form = params[:as] == "xlsx" ? "xlsx" : "docx"
      send_data sheet.bytes(form), filename: sheet.name(form), type: "application/octet-stream"
    end

    # params: file; by: whose answers they are.
    def create
      sheet = Note::Questions.new(project)
      file = uploads(:file).first
      taken = sheet.take_in(file.read, file.original_filename, by: params[:by].to_s)
      project.announce("notes")
      render json: taken
    end
  end
end
