# One delivered file, to be downloaded.
module Api
  class DeliveredFilesController < BaseController
    def show
      file =
        DeliveredFile
          .joins(:delivery)
          .where(deliveries: { project_id: current_user.projects.select(:id) })
          .find(params[:id])
      send_data file.content.download, filename: file.base_name, type: "application/octet-stream"
    end
  end
end
