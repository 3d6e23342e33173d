# For Rack servers. At the start of a server what was cut short, reading files and importing units, begins
# again, and memories deleted long ago go for good.
require_relative "config/environment"
Document.resume_reading
MemoryChange.resume
Alignment.resume
Memory.purge_old
PutAway.purge_old
run Rails.application
