# A session of a user: device and time of the sign-in. The cookie holds its token; a session without a row has
# ended, whatever a cookie says.
class SignIn < ApplicationRecord
  # Cookies live as long from their last use.
  KEPT_FOR = 14.days
  # When it was used last is noted this often.
  NOTED = 5.minutes
  LONGEST = 300

  belongs_to :user
  after_destroy_commit :cut_off
  scope :live, -> { where(used_at: KEPT_FOR.ago..) }

  class << self
    # Returns its token, which is kept only as a digest.
    def begin(user, request)
      where(used_at: ...KEPT_FOR.ago).delete_all
      token = SecureRandom.hex(24)
      create!(user: user, token: digest(token), agent: request.user_agent.to_s.scrub[0, LONGEST],
        address: request.remote_ip.to_s, used_at: Time.current)
      token
    end

    # The one of a token, or nil.
    def with_token(token)
      found = token.present? && live.find_by(token: digest(token)) or return
      found.tap(&:note_use)
    end

    def end(token) = token.present? && where(token: digest(token)).destroy_all

    private

    def digest(token) = Digest::SHA256.hexdigest(token)
  end

  # Pages of it hear nothing more; those that may, ask again.
  def cut_off = ActionCable.server.remote_connections.where(sign_in: self).disconnect(reconnect: true)

  # On a full disk it is not noted, and nobody is kept out for it.
  def note_use
    update_columns(used_at: Time.current) if used_at < NOTED.ago
  rescue ActiveRecord::StatementInvalid
    nil
  end

  # What the browser says of itself, shortly: "Firefox, Linux".
  def device
    browser = { "Edg/" => "Edge", "OPR/" => "Opera", "Firefox/" => "Firefox", "Chrome/" => "Chromium",
                "Safari/" => "Safari" }.find { |mark, _| agent.include?(mark) }&.last
    system = { "Android" => "Android", "iPhone" => "iPhone", "iPad" => "iPad", "Windows" => "Windows",
               "Mac OS X" => "macOS", "Linux" => "Linux" }.find { |mark, _| agent.include?(mark) }&.last
    [browser, system].compact.join(", ").presence || agent.truncate(40)
  end
end
