# A segment as Translate needs it; codes carry only what is shown.
class SegmentResource < ApplicationResource
  typelize state: "State", origin: "Origin", place: "string | null", codes: "Code[]"

  PLAIN = %i[
    id document_id position key block source target state origin marked exempt words version note limit locked
  ].freeze

  attributes(*PLAIN)
  attribute(:place) { |segment| Glossema::Unit.place(segment.path, segment.block) }
  attribute(:codes) { |segment| SegmentResource.shown(segment.codes) }

  def self.shown(codes) = codes.map { |code| code.slice("id", "kind", "type", "display", "equiv", "css") }

  # All segments of a scope as JSON. Straight from the rows: a project may have tens of thousands.
  def self.listing(scope)
    columns = [*PLAIN, :path, :codes].map { |name| Segment.arel_table[name] }
    JSON.generate(scope.pluck(*columns).map { |*values, path, codes| row(values, path, codes) })
  end

  def self.row(values, path, codes)
    plain = PLAIN.zip(values).to_h
    plain.merge(place: Glossema::Unit.place(path, plain[:block]), codes: codes.empty? ? codes : shown(codes))
  end
  private_class_method :row
end
