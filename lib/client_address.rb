# Where a request came from: what it says itself of other addresses, hosts and proxies counts only when it
# comes from a proxy that the owner of the installation names (GLOSSEMA_PROXY).
require "ipaddr"

class ClientAddress
  SAID_BY_PROXIES = %w[
    HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_HOST HTTP_X_FORWARDED_PORT HTTP_X_FORWARDED_PROTO
    HTTP_X_FORWARDED_SCHEME HTTP_X_FORWARDED_SSL HTTP_FORWARDED
  ].freeze
  # Nobody here reads it; beside another header it would be taken for an attack.
  NEVER = "HTTP_CLIENT_IP".freeze

  # proxies: addresses or ranges, as text.
  def initialize(app, proxies)
    @app, @proxies = app, proxies.map { |one| IPAddr.new(one) }
  end

  def call(env)
    env.delete(NEVER)
    SAID_BY_PROXIES.each { |name| env.delete(name) } unless proxy?(env["REMOTE_ADDR"])
    @app.call(env)
  end

  private

  def proxy?(address)
    return false if @proxies.empty?

    from = IPAddr.new(address.to_s)
    @proxies.any? { |range| range.family == from.family && range.include?(from) }
  rescue IPAddr::Error
    false
  end
end
