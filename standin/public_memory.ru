# The stand-in for a public memory as a program for Puma.
$LOAD_PATH.unshift File.expand_path("../core/lib", __dir__)
require "uri"
require_relative "public_memory"

run StandIn::PublicMemory.new(ENV.fetch("PUBLIC_KEY", "open"))
