# For Rack servers. At the start of a server what was cut short begins again, and what was put away long ago
# goes for good.
require_relative "config/environment"
InterruptedJobs.take_up
Memory.purge_old
PutAway.purge_old
run Rails.application
