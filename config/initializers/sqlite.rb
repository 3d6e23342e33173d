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

# On a full disk SQLite takes a transaction back by itself. Rails then asks for it again, and the complaint
# about that would hide what happened.
module TakenBackAlready
  def exec_rollback_db_transaction
    super if @raw_connection&.transaction_active?
  end
end

ActiveSupport.on_load(:active_record_sqlite3adapter) do
  prepend WaitingForTheDatabase
  prepend TakenBackAlready
end

# SQLite makes this table itself, and refuses to have it made when the structure is loaded.
module WithoutItsOwnTables
  def structure_dump(filename, _extra_flags)
    super
    File.write(filename, File.read(filename).gsub(/^CREATE TABLE sqlite_sequence.*\n/, ""))
  end
end

ActiveRecord::Tasks::SQLiteDatabaseTasks.prepend(WithoutItsOwnTables)
