# The index of a memory, made anew or finished after a crash.
module Memory::Indexing
  extend ActiveSupport::Concern

  # Makes the index anew from the units.
  def reindex
    index = Memory::Index.new(id)
    index.clear
    first = units.minimum(:id) or return
    builder = Memory::Index::Builder.new(id, first)
    units.in_batches(of: MemoryChange::STEP) do |batch|
      transaction do
        batch.each do |unit|
          entry = MemoryUnit.entry(unit.source)
          unit.update_columns(words: entry.signature)
          builder.add(unit.id, entry)
        end
      end
    end
    builder.finish
  end

  # Finishes the index of imports whose process is gone.
  def repair
    acts
      .where(kind: "import", state: "running")
      .find_each do |change|
        next if change.facts["pid"] && alive?(change.facts["pid"])

        Memory::Import.new(change).finish_earlier
        change.update!(state: "cancelled")
      end
  end

  private

  def alive?(pid)
    Process.kill(0, pid) && true
  rescue Errno::ESRCH, Errno::EPERM
    false
  end
end
