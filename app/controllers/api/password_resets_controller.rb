# A forgotten password: a link to set a new one is mailed, or where no mail is set up goes into the log of the
# server. It is good for a while.
module Api
  class PasswordResetsController < BaseController
    takes id: :text, email: :text, password: :text, code: :text

    skip_before_action :require_user
    limits to: 5, minutes: 10

    # The same answer whether there is such an account or not.
    def create
      user = User.find_by(email: params[:email].to_s.strip.downcase)
      if user
        link = "#{Rails.configuration.x.own_url}/new-password/#{user.generate_token_for(:password_reset)}"
        send_or_log(user, link)
      end
      head :accepted
    end

    def update
      user = User.find_by_token_for(:password_reset, params[:id])
      return refuse("link-old") unless user

      # The letter stands for the password, and not for the second factor.
      User.find(user.id).tap { |one| one.password = params[:password].to_s }.validate!
      pass_second_factor(user)
      user.update!(password: params[:password].to_s)
      user.end_sessions
      begin_session(user)
      answer(UserResource.new(user))
    end

    private

    def send_or_log(user, link)
      return AccountMailer.new_password(user, link).deliver_later if AccountMailer.sends?

      Rails.logger.warn("A new password for #{user.email} can be set at #{link}")
    end
  end
end
