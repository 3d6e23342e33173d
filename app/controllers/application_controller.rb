# Base of all controllers: forgery protection and who is signed in.
class ApplicationController < ActionController::Base
  protect_from_forgery with: :exception

  private

  def current_user = @current_user ||= User.of_session(session)

  def begin_session(user)
    reset_session
    session[:token] = SignIn.begin(user, request)
  end
end
