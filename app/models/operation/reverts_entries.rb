# Operations that change entries of a termbase, with how each of them was in entry_versions: how they are
# undone.
module Operation::RevertsEntries
  SLICE = 50

  # Entries that a later change wrote are left as they are; how many is noted as "kept".
  def revert
    later = changed_later
    undone, kept = entry_versions.order(:id).pluck(:id, :term_entry_id).partition { |_, entry|
      later.exclude?(entry)
    }
    in_slices(undone.map(&:first), SLICE, counter: "versions") do |ids|
      restore(TermEntryVersion.where(id: ids).includes(:entry).to_a)
    end
    candidates.where(state: %w[waiting later]).delete_all
    note("kept" => kept.size)
    subject.announce_change
  end

  private

  def small? = (undoing? ? entry_versions.count : total) <= Operation::SMALL
  def changed_anything? = entry_versions.exists? || candidates.exists?

  def changed_later
    TermEntryVersion.where(term_entry_id: entry_versions.select(:term_entry_id)).joins(:operation)
      .where("operations.id > ? AND operations.undone_at IS NULL", id).pluck(:term_entry_id).to_set
  end

  def restore(versions)
    revision = subject.next_revision
    made, changed = versions.partition { |version| version.data.nil? }
    ids = made.map(&:term_entry_id)
    TermEntry.where(id: ids).update_all(deleted_at: Time.current, revision: revision)
    Term.where(term_entry_id: ids).delete_all
    changed.each { |version| version.restore(revision) }
  end

  # Does something to entries, noting how they were.
  def recording
    recorder = Termbase::Recorder.new(subject, self, subject.next_revision, user)
    yield recorder
    result["count"] = result["count"].to_i + recorder.count
    update_columns(result: result)
  end
end
