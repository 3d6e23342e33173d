# What the owner of the installation says by the environment: docs/running.md.
listed = ->(name) { ENV.fetch(name, "").split(/[\s,]+/).reject(&:empty?) }
settings = Rails.application.config

# Links in mails begin with it, whatever a request says its host is; requests for other hosts are refused.
given = ENV["GLOSSEMA_URL"].presence&.chomp("/")
if given
  host = URI.parse(given).host or raise ArgumentError, "GLOSSEMA_URL is no web address: #{given}"
  settings.hosts = [host, "localhost", "127.0.0.1", "[::1]"]
  settings.host_authorization = { exclude: ->(request) { request.path == "/up" } }
end
settings.x.public_url = given
settings.x.own_url = given || "http://localhost:#{ENV.fetch("PORT", "3000")}"

# Before anything asks where a request came from.
settings.middleware.insert_before(0, ClientAddress, listed["GLOSSEMA_PROXY"])
settings.action_dispatch.trusted_proxies =
  ActionDispatch::RemoteIp::TRUSTED_PROXIES + listed["GLOSSEMA_PROXY"].map { |one| IPAddr.new(one) }

# What users may have asked of this computer and the networks around it: hosts, host:port, or ranges.
# Whoever types commands on this computer may ask it of anything.
settings.x.allowed_hosts = ENV["GLOSSEMA_COMMAND"] ? %w[0.0.0.0/0 ::/0] : listed["GLOSSEMA_ALLOWED_HOSTS"]

# Who may make an account: anybody, whoever was invited, or nobody. The first one is always made.
inside = ["", "127.0.0.1", "::1", "localhost"].include?(ENV.fetch("HOST", ""))
settings.x.sign_up = ENV["GLOSSEMA_SIGN_UP"].presence || (inside ? "open" : "invitation")
unless %w[open invitation closed].include?(settings.x.sign_up)
  raise ArgumentError, "GLOSSEMA_SIGN_UP is open, invitation or closed, not #{settings.x.sign_up}"
end

settings.x.accounts_a_day = Integer(ENV.fetch("GLOSSEMA_ACCOUNTS_A_DAY", "50"))
settings.x.an_hour = {
  "requests" => Integer(ENV.fetch("GLOSSEMA_REQUESTS_AN_HOUR", "100000")),
  "uploads" => Integer(ENV.fetch("GLOSSEMA_UPLOADS_AN_HOUR", "3000"))
}
# The owner of the installation: by email address, else the first account.
settings.x.owner = ENV["GLOSSEMA_OWNER"].presence&.strip&.downcase
