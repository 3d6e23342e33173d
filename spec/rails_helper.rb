# Specs of the application on real SQLite files; those in system/ drive a real browser.
ENV["RAILS_ENV"] = "test"
# Servers of specs are on this computer.
ENV["GLOSSEMA_ALLOWED_HOSTS"] ||= "127.0.0.1"
require_relative "../config/environment"
abort "These specs run in the test environment only." unless Rails.env.test?
require "rspec/rails"
require_relative "../core/spec/support/files"
Dir[File.join(__dir__, "support/*.rb")].each { |file| require file }
ActiveRecord::Migration.maintain_test_schema!

RSpec.configure do |config|
  config.use_transactional_fixtures = true
  config.infer_spec_type_from_file_location!
  config.disable_monkey_patching!
  config.order = :random
  config.filter_rails_from_backtrace!
  config.include Files
  # The limits on tries begin anew.
  config.before { Rails.cache.clear }
  # Requests wait for other servers as long as it takes, but where that is what is looked at.
  config.before(type: :request) do
    OutsideWork.clear
    stub_const("OutsideWork::WAIT", 20)
  end
  config.include Making
  config.include ActiveJob::TestHelper
  config.include ActiveSupport::Testing::TimeHelpers
end
