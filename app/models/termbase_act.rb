# Something done to a termbase, with how each entry was before, so that it can be undone.
class TermbaseAct < ApplicationRecord
  KINDS = %w[add edit delete import look].freeze
  belongs_to :termbase
  belongs_to :user, optional: true
  has_many :versions, class_name: "TermEntryVersion", dependent: :delete_all, inverse_of: :act
  has_many :candidates, class_name: "TermCandidate", dependent: :delete_all, inverse_of: :act
  has_many_attached :files
  validates :kind, inclusion: { in: KINDS }

  # Brings all entries back to how they were before, and takes away what a look found and nobody decided
  # about. What was changed since is left as it is; returns how many were.
  def undo
    return 0 if undone_at

    termbase.with_lock do
      later = TermEntryVersion.where(term_entry_id: versions.select(:term_entry_id)).joins(:act)
        .where("termbase_acts.id > ? AND termbase_acts.undone_at IS NULL", id).pluck(:term_entry_id).to_set
      revision = termbase.next_revision
      undone, kept = versions.includes(:entry).partition { |version| later.exclude?(version.term_entry_id) }
      made, changed = undone.partition { |version| version.data.nil? }
      take_back(made.map(&:term_entry_id), revision)
      changed.each { |version| version.restore(revision) }
      candidates.where(state: %w[waiting later]).delete_all
      update!(undone_at: Time.current)
      kept.size
    end.tap { termbase.tell }
  end

  private

  # Away with entries that it made, many at once.
  def take_back(ids, revision)
    ids.each_slice(1000) do |slice|
      TermEntry.where(id: slice).update_all(deleted_at: Time.current, revision: revision)
      Term.where(term_entry_id: slice).delete_all
    end
  end
end
