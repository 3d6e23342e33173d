# What completion learned from a memory: kept in a file of the data folder, held in memory while it is used,
# and made anew when the memory has changed much. Units that came since are taken in before each use.
class Memory::Learned
  # Beside the database.
  FOLDER = Pathname(ApplicationRecord.connection_db_config.database).dirname.join("completion")
  PROGRAM = Rails.root.join("bin/learn-memory").to_s
  LOG = Rails.root.join("log/learn-memory.log").to_s
  # Of a larger memory the newest units say most, and more would take minutes.
  UNITS = 60_000
  # Changes as many as one in this many units make what was learned stale.
  STALE = 20
  # So many are held.
  HELD = 3
  LOOKED = 2.minutes
  VERSION = 2
  @held, @lock = {}, Mutex.new

  class << self
    # The Glossema::Completion::Model of a memory, learned now if need be, which may take a minute.
    def model(memory)
      new(memory).then { |learned| (learned.held || (learned.learn && learned.held))&.model }
    end

    # Its HeldModel if it is there, else nil; now and then it is looked whether it should be learned anew.
    def at_hand(memory)
      due = Rails.cache.write("learn:#{memory.id}", true, unless_exist: true, expires_in: LOOKED)
      LearnMemoryJob.perform_later(memory) if due
      new(memory).held
    end

    # Those that are held: {memory id => [when its file was written, HeldModel]}, the last used ones last. The
    # block must not take long: everybody waits for it.
    def table = @lock.synchronize { yield @held }
  end

  def initialize(memory)
    @memory = memory
  end

  # The model as the memory is now, or nil.
  def held
    held = find or return
    held.alone { follow(held) }
    held
  end

  # Should it be learned, or anew?
  def stale?
    size, last = facts
    return @memory.units.exists? unless size

    older = @memory.units.where("id <= ?", last).count
    (@memory.units.where("id > ?", last).count + (size - older).abs) * STALE > size
  end

  # Learns and keeps it, whole or not at all.
  def learn
    rows = @memory.units.order(id: :desc).limit(UNITS).pluck(:id, :source, :target).reverse
    model = Glossema::Completion::Model.learn(rows.map { |_, *texts| plain(texts) })
    FOLDER.mkpath
    half = path.sub_ext(".#{Process.pid}")
    last = rows.last&.first || 0
    half.open("wb") do |io|
      Marshal.dump([VERSION, @memory.units.where("id <= ?", last).count, last], io)
      Marshal.dump(model, io)
    end
    half.rename(path)
  end

  # The same in a process of its own, so that nobody waits who types meanwhile.
  def learn_apart
    system(GcSettings::ENVIRONMENT, RbConfig.ruby, "--yjit", PROGRAM, @memory.id.to_s, err: [LOG, "a"])
  end

  def forget
    self.class.table { |held| held.delete(@memory.id) }
    path.delete if path.exist?
  end

  private

  def path = FOLDER.join("#{@memory.id}-#{@memory.created_at.to_i}.bin")
  def plain(texts) = texts.map { |text| Glossema::Content.plain(text) }

  # [how many units there were, the highest of them] when it was learned, or nil.
  def facts
    path.exist? ? path.open("rb") { |io| head(io) } : nil
  end

  def head(io)
    version, *facts = Marshal.load(io) # rubocop:disable Security/MarshalLoad -- our own file
    facts if version == VERSION
  rescue TypeError, ArgumentError, EOFError
    nil
  end

  # Units that came since its file was written.
  def follow(held)
    rows = @memory.units.where("id > ?", held.since).order(:id).limit(UNITS).pluck(:id, :source, :target)
    rows.each { |_, *texts| held.model.add(*plain(texts)) }
    held.since = rows.last.first if rows.any?
  end

  # The one that is held, or else that of the file.
  def find
    return unless path.exist?

    made = path.mtime
    made_then, held = self.class.table { |all| all[@memory.id] }
    held = read unless made_then == made
    self.class.table { |all| keep(all, made, held) } if held
    held
  end

  def keep(all, made, held)
    all.delete(@memory.id)
    all[@memory.id] = [made, held]
    all.shift if all.size > HELD
  end

  def read
    path.open("rb") do |io|
      _, last = head(io)
      HeldModel.new(Marshal.load(io), last) if last # rubocop:disable Security/MarshalLoad -- our own file
    end
  rescue TypeError, ArgumentError, EOFError
    nil
  end
end
