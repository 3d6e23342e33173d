# Speaks one of our protocols (docs/protocol.md) to a server of others. Whatever goes wrong is told in a
# sentence.
class RemoteClient
  attr_reader :address

  # address: of the service; key: as it was given, or nil; more: as an HttpClient takes it. Raises Refused
  # "remote-address".
  def initialize(address, key, **more)
    @address = address.to_s.strip.chomp("/")
    raise Glossema::Refused.new("remote-address", address: address) unless HttpClient.address?(@address)

    headers = key.present? ? { "Authorization" => "Bearer #{key}" } : {}
    @call = HttpClient.new(@address, headers: headers, **more)
  end

  def host = @call.host

  private

  def json(method, path, body = nil)
    with_refusals(path) { @call.json(method, path, body) }
  end

  def with_refusals(path)
    yield
  rescue HttpClient::Resting
    raise Glossema::Refused.new("remote-resting", host: host)
  rescue HttpClient::Denied => e
    raise denied(e, path)
  rescue HttpClient::Garbled
    # What answers at the address itself with anything else is something else.
    raise Glossema::Refused.new("remote-other", host: host) if path.empty?

    raise Glossema::Refused.new("remote-garbled", host: host)
  rescue HttpClient::Failure => e
    raise Glossema::Refused.new("remote-failed", host: host, reason: e.message)
  end

  def denied(answer, path)
    error = answer.said.is_a?(Hash) && answer.said["error"].is_a?(Hash) ? answer.said["error"] : {}
    case [answer.status, error["code"]]
    when [403, "read-only"] then Glossema::Refused.new("remote-refused.read", host: host)
    when [422, "pair"] then Glossema::Refused.new("remote-refused.pair", host: host)
    when [409, "withdrawn"]
      Glossema::Refused.new("server-withdrawn", host: host, reason: error["message"].to_s[0, 300])
    else denied_by_status(answer, path)
    end
  end

  def denied_by_status(answer, path)
    case answer.status
    when 401, 403 then Glossema::Refused.new("remote-refused.key", host: host)
    when 429 then Glossema::Refused.new("remote-refused.limit", host: host)
    when 404
      return Glossema::Refused.new("remote-other", host: host) if path.empty?

      Glossema::Refused.new("remote-refused.gone", host: host)
    else Glossema::Refused.new("remote-failed", host: host, reason: answer.message)
    end
  end
end
