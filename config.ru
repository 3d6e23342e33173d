# For Rack servers. At the start of a server what was cut short goes on.
require_relative "config/environment"
Startup.resume
Checkpointing.start(ApplicationRecord.connection_db_config.database)
Operation::ChildProcess.prepare
run Rails.application
