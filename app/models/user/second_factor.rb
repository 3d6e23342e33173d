# A second factor beside the password: codes of an authenticator (RFC 6238), each good once, and recovery
# codes for when the device is lost, each good once as well.
module User::SecondFactor
  extend ActiveSupport::Concern
  ISSUER = "Glossema".freeze
  # Seconds that a clock may be behind or ahead.
  DRIFT = 30
  CODES, LETTERS = 10, 10

  included { encrypts :factor_secret }

  def second_factor? = factor_since.present?

  # A secret that waits to be confirmed. Returns the address that an authenticator reads. Raises Refused
  # "second-factor-on": one that is on is not put out by another.
  def begin_second_factor
    raise Glossema::Refused.new("second-factor-on") if second_factor?

    update!(factor_secret: ROTP::Base32.random, factor_since: nil, recovery_codes: [], factor_used_at: 0)
    authenticator.provisioning_uri(email)
  end

  # Confirms it by a code. Returns the recovery codes, which are told once, or nil for a wrong code. Raises
  # Refused "second-factor-open".
  def confirm_second_factor(code)
    raise Glossema::Refused.new("second-factor-open") if factor_secret.nil? || second_factor?
    return unless used?(code)

    codes = Array.new(CODES) { SecureRandom.alphanumeric(LETTERS).downcase }
    update!(factor_since: Time.current, recovery_codes: codes.map { |one| digest(one) })
    codes
  end

  def end_second_factor
    update!(factor_secret: nil, factor_since: nil, recovery_codes: [], factor_used_at: 0)
  end

  # A code of the authenticator, or a recovery code; each is good once.
  def second_factor_fits?(code)
    with_lock { used?(code) || recovered?(code) }
  end

  private

  def authenticator = ROTP::TOTP.new(factor_secret, issuer: ISSUER)

  def used?(code)
    at = authenticator.verify(code.to_s.delete("^0-9"), drift_behind: DRIFT, drift_ahead: DRIFT,
      after: factor_used_at)
    at && update!(factor_used_at: at)
  end

  def recovered?(code)
    given = digest(code.to_s.strip.downcase)
    recovery_codes.include?(given) && update!(recovery_codes: recovery_codes - [given])
  end

  def digest(code) = Digest::SHA256.hexdigest(code)
end
