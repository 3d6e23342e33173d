# Specs of the core alone: no Rails is loaded.
$LOAD_PATH.unshift File.expand_path("../lib", __dir__)
require "glossema"
require "support/files"
require "support/round"
require "support/samples"

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.order = :random
  config.include Files
  config.include Round
  config.before(:suite) { raise "Rails is loaded" if defined?(Rails) }
end
