# A segment as Translate needs it; codes carry only what is shown.
class SegmentResource < ApplicationResource
  typelize state: "State", origin: "Origin", place: "string | null", codes: "Code[]"

  PLAIN = %i[
    id document_id position key block source target state origin marked exempt words version note limit locked
  ].freeze

  attributes(*PLAIN)
  attribute(:place) { |segment| SegmentResource.place(segment.block) { segment.location } }
  attribute(:codes) { |segment| SegmentResource.shown(segment.codes) }

  # The text of a location; nil where the formatting of the block says it already.
  def self.place(block) = (Glossema::Location.text(yield) unless Glossema::Unit.speaking?(block))

  def self.shown(codes) = codes.map { |code| code.slice("id", "kind", "type", "display", "equiv", "css") }

  # All segments of a scope as JSON, put together by the database: a project may have tens of thousands.
  def self.listing(scope)
    rows = Segment.connection.select_rows(scope.select(listed, :location, :block, :codes).to_sql)
    "[#{rows.map { |values| row(*values) }.join(",")}]"
  end

  def self.listed
    @listed ||= begin
      fields = PLAIN.flat_map { |name| [Arel::Nodes.build_quoted(name.to_s), written(name)] }
      call("json_object", fields)
    end
  end

  # A column as JSON has it.
  def self.written(name)
    column = Segment.arel_table[name]
    case Segment.type_for_attribute(name.to_s).type
    when :boolean
      call("json", [call("iif", [column, *%w[true false].map { |word| Arel::Nodes.build_quoted(word) }])])
    when :json then call("json", [column])
    else
      column
    end
  end

  def self.call(function, arguments) = Arel::Nodes::NamedFunction.new(function, arguments)

  # plain: a JSON object, to which what the database does not know is added.
  def self.row(plain, location, block, codes)
    place = place(block) { JSON.parse(location) }
    codes = JSON.generate(shown(JSON.parse(codes))) unless codes == "[]"
    plain.chop << %(,"place":#{JSON.generate(place)},"codes":#{codes}})
  end
  private_class_method :listed, :written, :call, :row
end
