# Base of all controllers: forgery protection and who is signed in.
class ApplicationController < ActionController::Base
  protect_from_forgery with: :exception
  around_action :in_her_language

  private

  # Sentences are in the language of whoever is signed in, else in the one that the browser asks for first.
  def in_her_language(&) = I18n.with_locale(language, &)

  # What an error is answered with is told outside of the action.
  def rescue_with_handler(*) = I18n.with_locale(@language || I18n.default_locale) { super }

  def language = @language ||= language_asked

  def language_asked
    chosen = current_user&.preferences&.fetch("language",
      nil) || request.headers["Accept-Language"].to_s[/\A[a-z]{2}/]
    Rails.configuration.x.interface_languages.include?(chosen) ? chosen : I18n.default_locale.to_s
  end
  helper_method :language

  def current_user = @current_user ||= User.of_session(session)

  def begin_session(user)
    reset_session
    session[:token] = SignIn.begin(user, request)
  end

  def reset_session
    send_session_cookie
    super
  end

  def send_session_cookie = request.session_options[:skip] = false
end
