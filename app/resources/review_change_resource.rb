# A change of a reviser's with the segment it is in, and what differs.
class ReviewChangeResource < ApplicationResource
  typelize kind: "ChangeKind", decision: "Decision", differences: "Difference[]", codes: "Code[]",
    state: "State", number: "number", file: "string", source: "string", now: "string", conflict: "boolean",
    before_text: "string", after_text: "string", remarks: "Said[]"

  attributes :id, :segment_id, :before, :after, :author, :made_at, :kind, :words, :changed_words, :refused,
    :mended, :decision
  attribute(:number) { |change| change.segment.position }
  attribute(:file) { |change| change.segment.document.name }
  attribute(:remarks) do |change|
    change.review_round.remarks_on(change.segment_id)
      .map { |note| note.slice("text", "error_type", "severity") }
  end
  attribute(:state) { |change| change.segment.state }
  attribute(:source) { |change| change.segment.source }
  attribute(:codes) { |change| change.segment.codes }
  attribute(:now) { |change| change.segment.target_content.text }
  attribute(:conflict, &:conflict?)
  attribute(:before_text) { |change| Glossema::Content.plain(change.before) }
  attribute(:after_text) { |change| Glossema::Content.plain(change.after) }
  attribute(:differences) do |change|
    texts = [change.after, change.before].map { |text| Glossema::Content.text(Glossema::Content.plain(text)) }
    Glossema::Matching::Score.compare(*texts).differences.map(&:to_h)
  end
end
