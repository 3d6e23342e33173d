# One server for a data folder: two would take each other's work for work that was left behind. Held by the
# process itself, so that it is free again however that ends.
class ServerLock
  FILE = "server.lock".freeze

  # data: the data folder. Ends the process with a sentence when another server holds it.
  def self.hold(data)
    Dir.mkdir(data) unless Dir.exist?(data)
    file = File.open(File.join(data, FILE), File::RDWR | File::CREAT, 0o600)
    return new(file).write if file.flock(File::LOCK_EX | File::LOCK_NB)

    abort "Another Glossema server (process #{file.read.strip}) is running on the data folder #{data}. " \
      "Stop it first, or set GLOSSEMA_DATA to another folder."
  end

  def initialize(file)
    @file = file
  end

  # Which process it is, for whoever finds the folder in use. Kept open as long as the process lives.
  def write
    @file.truncate(0)
    @file.write(Process.pid.to_s)
    @file.flush
    @@held = self
  end
end
