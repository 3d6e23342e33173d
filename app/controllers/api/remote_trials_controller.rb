# What a server says it holds: before something of it is attached, and of what is attached.
module Api
  class RemoteTrialsController < BaseController
    takes address: :text, key: :text, remote_source_id: :id

    # params: address, key; or of what is attached: remote_source_id.
    def create
      return test_again if params[:remote_source_id]

      speaker = RemoteSource::Speaker.new(params.require(:address), params[:key])
      ask_outside do
        described = speaker.describe
        { server: described.name, items: described.items.map(&:to_h) }
      end
    end

    private

    def test_again
      source = current_user.remote_sources.find(params[:remote_source_id])
      ask_outside do
        source.test
        RemoteSourceResource.new(source).to_h
      end
    end
  end
end
