# A termbase: concept entries in any number of languages.
class Termbase < ApplicationRecord
  include Travelling
  include Changing
  include Searching
  include Adding
  include Shareable

  belongs_to :user
  belongs_to :client, optional: true
  has_many :entries, class_name: "TermEntry", dependent: nil, inverse_of: :termbase
  has_many :operations, as: :subject, dependent: nil, inverse_of: :subject
  has_many :candidates, class_name: "TermCandidate", dependent: :delete_all, inverse_of: :termbase
  has_many :attachments, class_name: "AttachedTermbase", dependent: :destroy, inverse_of: :termbase

  scope :present, -> { where(deleted_at: nil) }
  validates :name,
    presence: true,
    uniqueness: { scope: :user_id, conditions: -> { present }, message: :other_termbase }

  # How many entries.
  def size = remote ? remote.facts["size"] : entries.there.count

  # The languages its terms are in, those of most entries first, then in the order in which they came.
  def languages
    return remote.facts["languages"] if remote

    Term.where(termbase_id: id).group(:lang).order(Arel.sql("COUNT(DISTINCT term_entry_id) DESC, MIN(id)"))
      .pluck(:lang)
  end
end
