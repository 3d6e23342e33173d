# The stand-in for a machine translation service, running beside the specs that ask for it.
require "puma"
require "puma/server"
require Rails.root.join("standin/server")
require Rails.root.join("standin/knowledge")

module WithStandIn
  KEY = "a-key".freeze

  class << self
    # Begun once, for all specs.
    def port
      @port ||= begin
        server = Puma::Server.new(StandIn::Server.new(engine, KEY), nil, max_threads: 2,
          log_writer: Puma::LogWriter.null)
        port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
        server.run
        at_exit { server.stop(true) }
        port
      end
    end

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
    Machine::Connector.broken.clear
    behave({})
  end
end
