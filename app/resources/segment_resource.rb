# A segment as Translate needs it; codes carry only what is shown.
class SegmentResource
  include Alba::Resource

  attributes :id, :document_id, :position, :key, :block, :path, :source, :target, :state, :origin, :marked, :words, :version, :note, :limit
  attribute(:codes) { |segment| segment.codes.map { |code| code.slice("id", "kind", "type", "display", "equiv", "css") } }
end
