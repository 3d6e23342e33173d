# A forgotten password: a link to set a new one is mailed, or where no mail is set up goes into the log of the
# server. It is good for a while.
module Api
  class PasswordResetsController < BaseController
    skip_before_action :require_user
    rate_limit to: 5,
      within: 10.minutes,
      with: -> { refuse("too-many", status: :too_many_requests, minutes: "ten") }

    # The same answer whether there is such an account or not.
    def create
      user = User.find_by(email: params[:email].to_s.strip.downcase)
      if user
        link = "#{request.base_url}/new-password/#{user.generate_token_for(:password_reset)}"
        send_or_log(user, link)
      end
      head :accepted
    end

    def update
      user = User.find_by_token_for(:password_reset, params[:id])
      return refuse("link-old") unless user

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
