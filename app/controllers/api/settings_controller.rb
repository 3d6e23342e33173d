# What a user sets for herself.
module Api
  class SettingsController < BaseController
    def update
      current_user.update!(
        params
          .permit(:name, :words_per_hour, :reference_pattern, preferences: {})
          .then do |given|
            if given[:preferences]
              given.merge(preferences: current_user.preferences.merge(given[:preferences]))
            else
              given
            end
          end
      )
      answer(UserResource.new(current_user))
    end
  end
end
