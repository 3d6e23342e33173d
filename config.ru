# For Rack servers. At the start of a server what was cut short goes on.
require_relative "config/environment"
Startup.resume
run Rails.application
