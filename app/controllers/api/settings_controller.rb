# Settings of the user.
module Api
  class SettingsController < BaseController
    takes preferences: :any, name: :text, words_per_hour: :number, reference_pattern: :text,
      quote_pattern: :text, address: :text, remind_at: :text, time_zone: :text,
      working: { from: :text, to: :text, days: [:number] }

    FIELDS = %i[name words_per_hour reference_pattern quote_pattern address remind_at time_zone].freeze

    def update
      User.transaction do
        current_user.prefer(params[:preferences].to_unsafe_h) if params[:preferences]
        current_user.update!(params.permit(*FIELDS, working: [:from, :to, { days: [] }]))
      end
      answer(UserResource.new(current_user))
    end
  end
end
