# Something done to a termbase, with how each entry was before, so that it can be undone.
class TermbaseAct < ApplicationRecord
  KINDS = %w[add edit delete import accept].freeze
  belongs_to :termbase
  belongs_to :user, optional: true
  has_many :versions, class_name: "TermEntryVersion", dependent: :delete_all, inverse_of: :act
  validates :kind, inclusion: { in: KINDS }

  # Brings all entries back to how they were before. What was changed since is left as it is; returns how many
  # were.
  def undo
    return 0 if undone_at

    termbase.with_lock do
      later = TermEntryVersion.where(term_entry_id: versions.select(:term_entry_id)).joins(:act)
        .where("termbase_acts.id > ? AND termbase_acts.undone_at IS NULL", id).pluck(:term_entry_id).to_set
      revision = termbase.next_revision
      undone, kept = versions.includes(:entry).partition { |version| later.exclude?(version.term_entry_id) }
      undone.each { |version| version.restore(revision) }
      update!(undone_at: Time.current)
      kept.size
    end.tap { termbase.tell }
  end
end
