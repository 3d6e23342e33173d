# A Glossema of its own for measurements, on data that go again, and people signed in to it.
require "fileutils"
require "json"
require "net/http"
require "tmpdir"

PORT = Integer(ENV.fetch("BENCH_PORT", 3191))

def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)

def time_of
  started = clock
  yield
  clock - started
end

# Does the server answer?
def up?
  Net::HTTP.get_response("127.0.0.1", "/up", PORT).is_a?(Net::HTTPSuccess)
rescue SystemCallError, EOFError
  false
end

# bin/start --empty on data of its own.
class Server
  attr_reader :data, :pid

  START = [File.expand_path("../bin/start", __dir__), "--empty"].freeze

  # data: its folder, one of its own unless given; environment: what else is set for it; program: what starts
  # it.
  def initialize(data: Dir.mktmpdir("bench-load"), environment: {}, program: START)
    @data = data
    environment = { "GLOSSEMA_DATA" => data, "PORT" => PORT.to_s, "GLOSSEMA_ALLOWED_HOSTS" => "127.0.0.1",
                    "GLOSSEMA_PROXY" => "127.0.0.1", **environment }
    @pid = spawn(environment, *program, pgroup: true, out: File::NULL, err: File.join(data, "log"))
    at_exit { stop }
    600.times { up? ? break : sleep(0.5) }
  end

  # keep: its data stay.
  def stop(keep: false)
    Process.kill("TERM", -@pid)
    Process.wait(@pid)
    FileUtils.rm_rf(data) unless keep
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end
end

# Somebody signed in, as the interface talks.
class Person
  Answer = Struct.new(:status, :body) do
    def fine? = status < 400
  end

  # second: in another browser of somebody who has an account; from: the address of the user, as a proxy says
  # it: only so many accounts may be created from one address.
  def initialize(name, second: false, from: nil)
    @from = from
    @http = Net::HTTP.new("127.0.0.1", PORT).tap { |http| http.read_timeout = 90 }
    page
    account = { name: name, email: "#{name}@example.example", password: "a-long-password" }
    signed = second ? call(:post, "/session", account.except(:name)) : call(:post, "/users", account)
    raise "#{name} could not sign in: #{signed.status} #{signed.body}" unless signed.fine?

    page
  end

  def call(verb, path, body = nil, form: nil)
    request = Net::HTTP.const_get(verb.capitalize).new("/api#{path}", headers)
    if form
      request.set_form(form.map { |field, name, bytes|
        name ? [field, bytes, { filename: name }] : [field, bytes]
      },
        "multipart/form-data")
    elsif body
      request.body = JSON.generate(body)
      request["Content-Type"] = "application/json"
    end
    answered(@http.request(request))
  rescue SystemCallError, Timeout::Error, IOError, Net::HTTPBadResponse
    Answer.new(599, nil)
  end

  # What was answered last, as it came.
  attr_reader :last_bytes

  # After the server was started again.
  def again
    @http = Net::HTTP.new("127.0.0.1", PORT).tap { |http| http.read_timeout = 90 }
    page
  end

  # What is downloaded.
  def bytes(path) = @http.request(Net::HTTP::Get.new("/api#{path}", headers)).body

  private

  def headers
    { "Accept" => "application/json", "X-CSRF-Token" => @token, "Cookie" => @cookie,
      "X-Forwarded-For" => @from }.compact
  end

  def page
    response = @http.get("/", @cookie ? { "Cookie" => @cookie } : {})
    keep(response)
    @token = response.body[/name="csrf-token" content="([^"]+)"/, 1]
  end

  def answered(response)
    keep(response)
    @last_bytes = response.body
    Answer.new(response.code.to_i, response.body.to_s.start_with?("{", "[") ? JSON.parse(response.body) : nil)
  end

  def keep(response)
    fresh = response.get_fields("Set-Cookie").to_a.map { |line| line.split(";").first.split("=", 2) }.to_h
    @cookies = @cookies.to_h.merge(fresh)
    @cookie = @cookies.map { |pair| pair.join("=") }.join("; ")
  end
end
