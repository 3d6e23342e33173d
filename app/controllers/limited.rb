# How often something may be asked: counted for the address that asks and, beside it, for the account that it
# is about, so that neither many addresses nor many accounts help whoever guesses.
module Limited
  extend ActiveSupport::Concern

  class_methods do
    # to: so many times; minutes: within which.
    def limits(to:, minutes:, **chosen)
      refusal = -> { refuse("too-many", status: :too_many_requests, minutes: minutes) }
      [-> { "#{action_name} #{request.remote_ip}" }, -> { "#{action_name} #{account_asked}" }].each do |by|
        rate_limit(to: to, within: minutes.minutes, by: by, with: refusal, **chosen)
      end
    end
  end

  private

  # Who is signed in, or whose mail address or link was given; where nothing tells, whoever asks.
  def account_asked
    return "account #{current_user.id}" if current_user

    given = params[:email].presence || params[:id].presence || request.remote_ip
    "given #{Digest::SHA256.hexdigest(given.to_s.strip.downcase)}"
  end
end
