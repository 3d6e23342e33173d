# The stand-in as a program for Puma.
$LOAD_PATH.unshift File.expand_path("../core/lib", __dir__)
require_relative "server"
require_relative "knowledge"

known = StandIn::Knowledge
engine = StandIn::Engine.new(sentences: known.sentences, terms: known.terms, small: known.small)
run StandIn::Server.new(engine, ENV.fetch("MT_KEY", "stand-in"))
