# What is to be done now.
module Api
  class TodayController < BaseController
    def show = render(json: User::Agenda.new(current_user).to_h)
  end
end
