# The stand-ins for services and servers of others, running beside the specs that ask for them.
require "puma"
require "puma/server"
require Rails.root.join("standin/public_memory")
require Rails.root.join("standin/agency")
require Rails.root.join("standin/server")
require Rails.root.join("standin/knowledge")

module WithStandIn
  KEY = "a-key".freeze

  class << self
    # Begun once, for all specs.
    def port
      @port ||= serve(StandIn::Server.new(engine, KEY))
    end

    # Begun for a spec, and stopped by whoever wants to. Returns the port.
    def serve(program)
      server = Puma::Server.new(program, nil, max_threads: 4, log_writer: Puma::LogWriter.null)
      port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
      server.run
      at_exit { server.stop(true) }
      port
    end

    # Addresses of stand-ins of their own: a public memory, a client’s server.
    def public_memory = "http://127.0.0.1:#{serve(StandIn::PublicMemory.new(KEY))}"
    def agency = "http://127.0.0.1:#{serve(StandIn::Agency.new(KEY))}"

    private

    def engine
      known = StandIn::Knowledge
      StandIn::Engine.new(sentences: known.sentences, terms: known.terms, small: known.small)
    end
  end

  def stand_in(path) = "http://127.0.0.1:#{WithStandIn.port}/#{path}"
  def behave(how) = Net::HTTP.post(URI(stand_in("behaviour")), how.to_json)
  def asked = state_of_stand_in["asked"]
  def last_asked = state_of_stand_in["last"]
  def state_of_stand_in = JSON.parse(Net::HTTP.get(URI(stand_in(""))))
end

RSpec.configure do |config|
  config.include WithStandIn, :stand_in
  config.before(:each, :stand_in) do
    HttpClient.broken.clear
    RemoteSource::Desk.clear
    behave({})
  end
end
