# Words looked up in the memories on other servers: what they answered so far; the project is told when
# there is more.
module Api
  class RemoteSearchesController < BaseController
    takes text: :text, side: :text, way: :text

    # params: text, side, way.
    def show
      render json: Project::RemoteConcordance.new(project, params[:text].to_s, params[:side],
        params[:way]).to_h
    end
  end
end
