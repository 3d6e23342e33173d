# What completion learned from a memory: made when it is first asked for, kept in a file of the data folder,
# and made anew when the memory has changed much.
class Memory::Learned
  FOLDER = GlossemaApp::DATA.join("completion")
  # Of a larger memory the newest units say most, and more would take minutes.
  UNITS = 60_000
  # Changes as many as one in this many units make what was learned stale.
  STALE = 20
  VERSION = 1

  class << self
    # The Glossema::Completion::Model of a memory.
    def of(memory) = new(memory).model
  end

  def initialize(memory)
    @memory = memory
  end

  def model = (kept || learn).tap { |model| model.sequences.prepare }

  private

  def path = FOLDER.join("#{@memory.id}.bin")

  # What was learned when the memory was about as it is now.
  def kept
    return unless path.exist?

    version, size, last, model = Marshal.load(path.binread) # rubocop:disable Security/MarshalLoad -- our own file
    return unless version == VERSION

    changed = @memory.units.where("id > ?",
      last).count + (size - @memory.units.where("id <= ?", last).count).abs
    model if changed * STALE <= size
  rescue TypeError, ArgumentError, EOFError
    nil
  end

  def learn
    rows = @memory.units.order(id: :desc).limit(UNITS).pluck(:id, :source, :target).reverse
    plain = rows.map { |_, *texts| texts.map { |text| Glossema::Content.plain(text) } }
    model = Glossema::Completion::Model.learn(plain)
    FOLDER.mkpath
    # Whole or not at all.
    half = path.sub_ext(".#{Process.pid}")
    half.binwrite(Marshal.dump([VERSION, @memory.units.count, rows.last&.first || 0, model]))
    half.rename(path)
    model
  end
end
