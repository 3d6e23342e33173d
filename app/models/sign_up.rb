# Who may make an account: see GLOSSEMA_SIGN_UP.
module SignUp
  class << self
    # token: of an invitation. Raises Refused.
    def check(email, token)
      check_number
      way = Rails.configuration.x.sign_up
      # The first account is that of whoever set the installation up.
      return if way == "open" || User.none?
      raise Glossema::Refused.new("sign-up.closed") if way == "closed"

      asked = User.normalize_value_for(:email, email.to_s)
      invited = token.present? && Share.invitation(token).email == asked
      raise Glossema::Refused.new("sign-up.invited") unless invited
    end

    # For the page that signs in: is there anything to be offered to whoever has no account?
    def open? = Rails.configuration.x.sign_up == "open" || User.none?

    private

    def check_number
      most = Rails.configuration.x.accounts_a_day
      return if User.where(created_at: 1.day.ago..).count < most

      raise Glossema::Refused.new("limit.accounts", most: most)
    end
  end
end
