# How a connection waits for a database that another one is writing to. Rails sets SQLite's own time-out,
# which waits while holding Ruby's global lock: in one process the thread that has the database then cannot
# finish, and nobody gets on. This handler sleeps in Ruby instead, so that the others go on meanwhile.
module WaitingForTheDatabase
  MILLISECONDS = 15_000

  private

  def configure_connection
    super
    @raw_connection.busy_handler_timeout = MILLISECONDS
  end
end

ActiveSupport.on_load(:active_record_sqlite3adapter) { prepend WaitingForTheDatabase }
