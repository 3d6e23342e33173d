# A change of a reviser's, taken or left.
class ReviewChange < ApplicationRecord
  DECISIONS = %w[open taken left].freeze

  belongs_to :review_round
  belongs_to :segment

  validates :decision, inclusion: { in: DECISIONS }

  # Fills in what it says: before, after, written forms; made: "author", "made_at" and what else is known.
  def fill(before, after, **made)
    assign_attributes(before: before, after: after, made_at: Time.current, **made)
    texts = [before, after].map { |text| Glossema::Content.from_written(text) }
    amount = Glossema::Review::Changes.amount(*texts)
    kind = damaged?(texts) ? "codes" : Glossema::Review::Changes.kind(*texts, terms: review_round.terms)
    assign_attributes(kind: kind, words: amount["words"], changed_words: amount["changed"])
  end

  # Was the segment changed by somebody else since it went out?
  # Not where both wrote the same.
  def conflict? = decision == "open" && [before, after].exclude?(segment.target)

  # decision: of DECISIONS. Returns the segment where it reads otherwise now, else nil. Raises Refused
  # "change-refused" where its codes are damaged and the mended wording is not asked for.
  def decide(decision, by:, mended: false)
    wanted = mended ? self.mended : after
    raise Glossema::Refused.new("change-refused",
      reason: refused) if decision == "taken" && refused && !mended

    was, self.decision = self.decision, decision
    save!
    return segment.tap { |one| one.take_review(wanted, self, by: by) } if decision == "taken"

    was == "taken" ? back(by) : nil
  end

  private

  # Is it refused for its codes? A translation that was deleted is refused as well.
  def damaged?(texts) = refused && texts.none?(&:blank?)

  # What was taken is as it was before, if nobody wrote in it since.
  def back(by)
    return unless segment.origin["act"] == review_round.tag

    segment.back_before(review_round.tag, segment.learning, by)
    segment
  end
end
