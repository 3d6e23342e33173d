# Speaks to a client's server: what it offers, files, deliveries.
class ClientServer::Speaker < RemoteClient
  OFFERS = Glossema::Remote::Offers
  LARGEST_FILE = 200 << 20

  # Its name.
  def name = OFFERS.server(json(:get, ""), host: host)
  def offers = OFFERS.list(json(:get, "/projects"), host: host)
  def accept(ref) = OFFERS.one(json(:post, "/projects/#{ref}/acceptance", {}), host: host)

  # The bytes of a file as it was offered. Raises Refused "remote-garbled" where they are others.
  def file(ref, file)
    path = "/projects/#{ref}/files/#{file.id}"
    bytes = with_refusals(path) { @call.bytes(:get, path, largest: LARGEST_FILE) }
    return bytes if Digest::SHA256.hexdigest(bytes) == file.sha256

    raise Glossema::Refused.new("remote-garbled", host: host)
  end

  # files: [{"id", "name", "sha256", "content" in Base64}]; the same uid is one delivery, however often it
  # comes.
  def deliver(ref, uid, files, message)
    body = { message: message, files: files }
    OFFERS.receipt(json(:put, "/projects/#{ref}/deliveries/#{uid}", body), host: host)
  end
end
