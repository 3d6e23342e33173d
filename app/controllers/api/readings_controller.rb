# The reading of a file: begun again, or cancelled.
module Api
  class ReadingsController < BaseController
    def create
      document.read_later unless document.ready?
      answer(DocumentResource.new(document))
    end

    def destroy
      document.cancel_reading
      answer(DocumentResource.new(document))
    end

    private

    def document = @document ||= Document.where(project: current_user.projects).find(params[:document_id])
  end
end
