# A term that a text seems to have: it waits for a decision, is put off, refused for good, or accepted.
class TermCandidate < ApplicationRecord
  STATES = %w[waiting later refused accepted].freeze

  belongs_to :termbase
  # The look that found it.
  belongs_to :operation, inverse_of: :candidates
  # What made an entry of it.
  belongs_to :accepted, class_name: "Operation", optional: true
  validates :state, inclusion: { in: STATES }
  scope :best_first, -> { order(score: :desc, id: :asc) }

  # Makes an entry of it. source, target: the edited terms. Raises Refused "term-missing".
  def accept(source, target, by:)
    added = termbase.add_pair({ lang => source, target_lang => target }, by: by, anyway: true)
    update!(state: "accepted", accepted: added.operation)
  end

  # state: of STATES but accepted. What was made of it is undone.
  def decide(state)
    known = STATES - ["accepted"]
    raise Glossema::Refused.new("candidate-state", state: state) unless known.include?(state)

    accepted.undo if accepted&.undoable?
    update!(state: state, accepted: nil)
  end
end
