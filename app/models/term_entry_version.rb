# How an entry was before an act: what it said, whether it was put away; data is nil where the act made it.
class TermEntryVersion < ApplicationRecord
  belongs_to :operation, inverse_of: :entry_versions
  belongs_to :entry, class_name: "TermEntry", foreign_key: :term_entry_id, inverse_of: :versions

  def restore(revision)
    entry.update!(data: data, deleted_at: deleted ? Time.current : nil, revision: revision)
  end
end
