# A segment as Translate needs it; codes carry only what is shown.
class SegmentResource
  include Alba::Resource

  PLAIN = %i[
    id document_id position key block path source target state origin marked exempt words version note limit
  ].freeze

  attributes(*PLAIN)
  attribute(:codes) { |segment| SegmentResource.shown(segment.codes) }

  def self.shown(codes) = codes.map { |code| code.slice("id", "kind", "type", "display", "equiv", "css") }

  # All segments of a scope as JSON. Straight from the rows: a project may have tens of thousands.
  def self.listing(scope)
    JSON.generate(
      scope
        .pluck(*PLAIN.map { |name| Segment.arel_table[name] }, Segment.arel_table[:codes])
        .map { |*values, codes| PLAIN.zip(values).to_h.merge(codes: codes.empty? ? codes : shown(codes)) }
    )
  end
end
