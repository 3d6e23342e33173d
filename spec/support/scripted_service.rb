# A service on a port of its own that answers as a spec says: the block is given the parsed request and how
# many came before, and returns the bytes of the body, or [status, bytes].
module ScriptedService
  def serve(&script)
    server = TCPServer.new("127.0.0.1", 0)
    count = -1
    @services = [*@services, Thread.new { loop { answer_one(server.accept, script, count += 1) } }]
    "http://127.0.0.1:#{server.addr[1]}/"
  end

  private

  def answer_one(socket, script, count)
    head = socket.gets("\r\n\r\n")
    asked = JSON.parse(socket.read(head[/content-length: (\d+)/i, 1].to_i))
    status, said = [200, *script.call(asked, count)].last(2)
    head = "HTTP/1.1 #{status} Said\r\nContent-Length: #{said.bytesize}\r\nConnection: close\r\n\r\n"
    socket.write(head.b + said.b)
    socket.close
  end
end

RSpec.configure do |config|
  config.include ScriptedService, :scripted_service
  config.before(:each, :scripted_service) { HttpClient.broken.clear }
  config.after(:each, :scripted_service) { @services&.each(&:kill) }
end
