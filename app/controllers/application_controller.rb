# Base of all controllers: forgery protection and who is signed in.
class ApplicationController < ActionController::Base
  protect_from_forgery with: :exception

  private

  def current_user = @current_user ||= User.find_by(id: session[:user_id])
end
