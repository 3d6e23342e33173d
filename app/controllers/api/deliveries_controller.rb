# Deliveries of a project, and one of them as a ZIP.
module Api
  class DeliveriesController < BaseController
    takes document_ids: [:id], message: :text

    def index =
      answer(DeliveryResource.new(project.deliveries.includes(:user, :files).reorder(number: :desc)))

    # params: document_ids: of the files that are delivered, all when left out; message: to the client.
    # Answers the operation.
    def create
      ids = params[:document_ids] && Array(params[:document_ids]).map(&:to_i)
      started(Delivery.start(project, by: current_user, document_ids: ids, message: params[:message].to_s))
    end

    def show
      delivery = Delivery.where(project: current_user.projects).find(params[:id])
      zip =
        Zip::OutputStream.write_buffer do |stream|
          delivery.files.select(&:sound?).each do |file|
            stream.put_next_entry(file.path)
            stream.write(file.content.download)
          end
        end
      send_data zip.string,
        filename:
          "#{delivery.project.reference}_#{delivery.project.target_lang}_#{delivery.number}.zip",
        type: "application/zip"
    end
  end
end
