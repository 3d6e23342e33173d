# How fast she works, by band, as measured from what she confirmed.
module Api
  class PacesController < BaseController
    def show = render(json: { words_per_hour: current_user.words_per_hour, bands: current_user.pace })
  end
end
