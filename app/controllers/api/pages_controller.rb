# The preview of a document as HTML with a place for each segment.
module Api
  class PagesController < BaseController
    def show
      document = Document.where(project: current_user.projects).find(params[:document_id])
      render json: { html: document.page.attached? ? document.page.download.force_encoding("UTF-8") : "" }
    end
  end
end
