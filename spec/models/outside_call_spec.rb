# Servers that never answer, answer a byte at a time, or never stop: each is left after its time, and none of
# them costs anybody else anything. Real sockets on this machine.
RSpec.describe OutsideCall do
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

  it "says the status alone of one that says nothing with it" do
    serve { |socket| socket.write("HTTP/1.1 500 Oh\r\nContent-Length: 0\r\n\r\n") }
    expect(asked.first).to end_with("it answered with status 500")
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
      expect(message).to include("headers were longer than 64 KB")
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
