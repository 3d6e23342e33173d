# Servers that never answer, answer a byte at a time, or never stop: each is left after its time, and none of
# them costs anybody else anything. Real sockets on this machine.
RSpec.describe HttpClient do
  let(:server) { TCPServer.new("127.0.0.1", 0) }
  let(:address) { "http://127.0.0.1:#{server.addr[1]}" }

  before { described_class.broken.clear }
  after { @serving&.kill }

  # behave: what the server does with a connection whose request was read.
  def serve
    @serving = Thread.new do
      loop do
        Thread.new(server.accept) do |socket|
          socket.gets("\r\n\r\n")
          yield socket
        rescue SystemCallError, IOError
          nil
        end
      end
    end
  end

  def megabytes = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024

  def asked(patience: 1)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    described_class.new(address, patience: patience, waits: []).json(:get)
  rescue described_class::Failure => e
    [e.message, Process.clock_gettime(Process::CLOCK_MONOTONIC) - began]
  end

  {
    "never answers" => ->(_) { sleep },
    "sends its headers a byte at a time" => lambda do |socket|
      "HTTP/1.1 200 OK\r\nX-Long: #{"x" * 10_000}".each_char do |letter|
        socket.write(letter)
        sleep(0.05)
      end
    end,
    "sends its body a byte at a time" => lambda do |socket|
      socket.write("HTTP/1.1 200 OK\r\nContent-Length: 10000\r\n\r\n")
      loop { socket.write(" ") && sleep(0.05) }
    end
  }.each do |name, behave|
    it "leaves one that #{name} after its time" do
      serve(&behave)
      message, seconds = asked
      expect(message).to include("within 1 s")
      expect(seconds).to be < 2
    end
  end

  describe "addresses" do
    closed = %w[
      127.0.0.1 127.1 2130706433 0x7f.0.0.1 0.0.0.0 10.1.2.3 172.16.0.1 192.168.1.1 169.254.169.254 100.64.0.1
      198.18.0.1 224.0.0.1 255.255.255.255 [::1] [::] [fe80::1] [fd00::1] [::ffff:127.0.0.1] [::127.0.0.1]
      [64:ff9b::7f00:1] [2002:7f00:1::] [2001:db8::1] [ff02::1] localhost
    ]

    def judged(host, allowed: [])
      Rails.configuration.x.allowed_hosts = allowed
      HttpClient::Reachable.address(URI("http://#{host}:8080/"))
    rescue HttpClient::Failure => e
      e.message
    end

    # A name server of our own: what a name is looked up to, one answer after the other.
    def named(name, *answers)
      allow(Addrinfo).to receive(:getaddrinfo).and_call_original
      allow(Addrinfo).to receive(:getaddrinfo).with(name, any_args) do
        answers.shift.map { |address| Addrinfo.tcp(address, 0) }
      end
    end

    after { Rails.configuration.x.allowed_hosts = ["127.0.0.1"] }

    closed.each do |host|
      it "does not call #{host}, unless it is allowed" do
        expect(judged(host)).to include("GLOSSEMA_ALLOWED_HOSTS")
        expect(judged(host, allowed: [host.delete("[]")])).not_to include("GLOSSEMA")
      end
    end

    it "takes hosts, hosts with a port, and ranges as allowed" do
      expect(judged("127.0.0.1", allowed: ["127.0.0.1:8080"])).to eq("127.0.0.1")
      expect(judged("127.0.0.1", allowed: ["127.0.0.1:9"])).to include("GLOSSEMA")
      expect(judged("10.2.3.4", allowed: ["10.0.0.0/8"])).to eq("10.2.3.4")
      expect(judged("[fd00::5]", allowed: ["fd00::/8"])).to eq("fd00::5")
    end

    it "looks a name up once, and calls what was judged, whatever the name is a moment later" do
      named("rebinding.example", ["127.0.0.1"], ["127.0.0.2"])
      serve { |socket| socket.write("HTTP/1.1 200 OK\r\nContent-Length: 2\r\n\r\n{}") }
      call = described_class.new("http://rebinding.example:#{server.addr[1]}", patience: 1, waits: [])
      expect(call.json(:get)).to eq({})
      expect { call.json(:get) }.to raise_error(described_class::Failure, /GLOSSEMA_ALLOWED_HOSTS/)
    end

    it "does not call a name of which one address is closed" do
      named("both.example", ["93.184.216.34", "10.0.0.1"])
      expect(judged("both.example")).to include("GLOSSEMA")
    end

    it "sends no header with a line break, and takes no answer that is no text" do
      call = ->(**headers) { described_class.new(address, headers: headers, waits: []).json(:get) }
      expect {
        call["X-Key": "a\r\nX-Other: b"]
      }.to raise_error(described_class::Failure, /the header X-Key is not valid/)
      said = '{"a":"\\u0000","b":1e999}'
      serve { |socket| socket.write("HTTP/1.1 200 OK\r\nContent-Length: #{said.bytesize}\r\n\r\n#{said}") }
      expect { call.call }.to raise_error(described_class::Garbled)
    end
  end

  it "says the status alone of one that says nothing with it" do
    serve { |socket| socket.write("HTTP/1.1 500 Oh\r\nContent-Length: 0\r\n\r\n") }
    expect(asked.first).to end_with("response status 500")
  end

  {
    "says “100 Continue” for ever" => ->(socket) {
      loop {
        socket.write("HTTP/1.1 100 Continue\r\n\r\n" * 100)
      }
    },
    "sends headers for ever" => lambda do |socket|
      socket.write("HTTP/1.1 200 OK\r\n")
      loop { socket.write("X-More: #{"x" * 8000}\r\n") }
    end,
    "sends one header for ever" => lambda do |socket|
      socket.write("HTTP/1.1 200 OK\r\nX-More: ")
      loop { socket.write("x" * 60_000) }
    end
  }.each do |name, behave|
    it "reads little of one that #{name}" do
      serve(&behave)
      before = megabytes
      message, seconds = asked(patience: 20)
      expect(message).to include("headers are longer than 64 KB")
      expect([seconds, megabytes - before]).to match([be < 3, be < 30])
    end
  end

  it "takes an answer with headers of a usual size" do
    serve do |socket|
      body = JSON.generate("said" => "yes" * 50_000)
      socket.write("HTTP/1.1 200 OK\r\nX-A: #{"a" * 5000}\r\nContent-Length: #{body.bytesize}\r\n\r\n#{body}")
      socket.close
    end
    expect(asked["said"].size).to eq(150_000)
  end
end
