# Making an account.
module Api
  class UsersController < BaseController
    takes name: :text, email: :text, password: :text, time_zone: :text, invitation: :text

    skip_before_action :require_user
    limits to: 10, minutes: 10

    # params: also invitation: of a Share, where that is how accounts are made.
    def create
      SignUp.check(params[:email], params[:invitation])
      given = params.permit(:name, :email, :password, :time_zone).reverse_merge(password: "")
      user = User.create!(given.merge(preferences: { language: language }))
      begin_session(user)
      answer(UserResource.new(user), status: :created)
    end
  end
end
