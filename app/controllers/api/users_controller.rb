# Making an account.
module Api
  class UsersController < BaseController
    skip_before_action :require_user
    rate_limit to: 10,
      within: 10.minutes,
      with: -> { refuse("too-many", status: :too_many_requests, minutes: "ten") }

    def create
      given = params.permit(:name, :email, :password, :time_zone).reverse_merge(password: "")
      user = User.create!(given.merge(preferences: { language: language }))
      begin_session(user)
      answer(UserResource.new(user), status: :created)
    end
  end
end
