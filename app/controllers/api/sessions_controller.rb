# Signing in and out. Ten tries in three minutes from one address.
module Api
  class SessionsController < BaseController
    skip_before_action :require_user, only: :create
    rate_limit to: 10,
      within: 3.minutes,
      only: :create,
      with: -> { refuse("too-many", status: :too_many_requests, minutes: "three") }

    # Renews the session.
    def show
      send_session_cookie
      answer(UserResource.new(current_user))
    end

    def create
      user = User.authenticate_by(email: params[:email].to_s.strip.downcase, password: params[:password].to_s)
      unless user
        return refuse("sign-in-wrong", status: :unauthorized)
      end

      if user.second_factor?
        return refuse("code-needed", status: :unauthorized) if params[:code].blank?
        return refuse("code-wrong", status: :unauthorized) unless user.second_factor_fits?(params[:code])
      end

      begin_session(user)
      answer(UserResource.new(user))
    end

    def destroy
      SignIn.end(session[:token])
      reset_session
      head :no_content
    end
  end
end
