# The recognisers of termbases, held in memory and kept right: before each use what was changed since is taken
# in, by whomever it was changed.
class Termbase::Finders
  # So many are held.
  HELD = 40
  Held = Struct.new(:revision, :finder)

  @held = {}
  @lock = Monitor.new

  class << self
    # The finder of a termbase for texts of a language. Its entries are called by the ids of their records.
    def fetch(termbase, tag)
      # A number may be given again once its termbase is gone.
      key = [termbase.id, termbase.created_at.to_f, tag]
      @lock.synchronize do
        held = @held.delete(key) || Held.new(-1, Glossema::Terms::Finder.new(tag))
        @held.shift if @held.size >= HELD
        @held[key] = held
        follow(termbase, held)
        held.finder
      end
    end

    private

    def follow(termbase, held)
      revision = Termbase.where(id: termbase.id).pick(:revision)
      return if revision == held.revision

      termbase.entries.where("revision > ?", held.revision).pluck(:id, :data, :deleted_at)
        .each do |id, data, deleted|
          entry = deleted ? nil : Glossema::Terms::Entry.from_data(data).tap { |one| one.id = id }
          held.finder.put(id, entry)
        end
      held.revision = revision
    end
  end
end
