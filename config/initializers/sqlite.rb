# How much of a database is read where the system has it in memory already, instead of being copied: all that
# SQLite allows.
module ReadInPlace
  BYTES = 2_147_418_112

  # A database that is written all over is not worth mapping into memory.
  def self.without
    connection = ApplicationRecord.connection.raw_connection
    connection.execute("PRAGMA mmap_size = 0")
    yield
  ensure
    connection&.execute("PRAGMA mmap_size = #{BYTES}")
  end

  private

  def configure_connection
    super
    @raw_connection.execute("PRAGMA mmap_size = #{BYTES}")
  end
end

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

# Whoever commits copies what the log of the database holds into it, once there are so many pages: somebody
# who
# typed a word would wait for it. In the server a thread does it now and then (Startup); programs that write
# much do it themselves.
module CheckpointsApart
  PAGES = ENV["GLOSSEMA_COMMAND"] ? 1000 : 20_000

  private

  def configure_connection
    super
    @raw_connection.execute("PRAGMA wal_autocheckpoint = #{PAGES}")
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
  prepend ReadInPlace
  prepend WaitingForTheDatabase
  prepend CheckpointsApart
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
