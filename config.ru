# For Rack servers. At the start of a server the reading of files that was cut short begins again.
require_relative "config/environment"
Document.resume_reading
run Rails.application
