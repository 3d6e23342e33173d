# Signing in and out. Ten tries in three minutes from one address.
module Api
  class SessionsController < BaseController
    takes email: :text, password: :text, code: :text

    skip_before_action :require_user, only: :create
    limits to: 10, minutes: 3, only: :create

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

      pass_second_factor(user)

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
