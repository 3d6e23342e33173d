# For Rack servers. At the start of a server what was cut short, reading files and importing units, begins again.
require_relative "config/environment"
Document.resume_reading
MemoryChange.resume
run Rails.application
