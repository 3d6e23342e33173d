# Loads and starts the application.
require_relative "application"
Rails.application.initialize!
