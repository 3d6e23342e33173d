# The file that an operation made.
module Api
  class OperationFilesController < BaseController
    def show
      operation = reached_operation(params[:operation_id])
      raise ActiveRecord::RecordNotFound unless operation.output.attached?

      send_blob(operation.output)
    end
  end
end
