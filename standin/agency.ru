# The stand-in for a client's server as a program for Puma.
$LOAD_PATH.unshift File.expand_path("../core/lib", __dir__)
require_relative "agency"

run StandIn::Agency.new(ENV.fetch("AGENCY_KEY", "harbour"))
