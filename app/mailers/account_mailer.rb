# Letters about an account.
class AccountMailer < ActionMailer::Base
  default from: -> { ENV.fetch("MAIL_FROM", "glossema@localhost") }

  # Are letters sent from here? SMTP_ADDRESS, SMTP_PORT, SMTP_USER, SMTP_PASSWORD and MAIL_FROM set it up.
  def self.sends? = ENV["SMTP_ADDRESS"].present? || delivery_method == :test

  def new_password(user, link)
    @user, @link = user, link
    mail(to: user.email, subject: I18n.t("letters.new_password.subject"))
  end
end
