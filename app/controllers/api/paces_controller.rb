# Words per hour by match band, measured from the user's confirmations.
module Api
  class PacesController < BaseController
    def show = render(json: { words_per_hour: current_user.words_per_hour, bands: current_user.pace })
  end
end
