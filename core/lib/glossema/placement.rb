# Where stored segments stand in a file as it is read now. A later version of a reader may find other units
# under the same ids: a translation goes by its text, never by the id alone.
module Glossema
  # Raised by one whenever a reader finds other units, texts or ids in any file. Every earlier state is kept
  # in core/spec/frozen.
  READER_VERSION = 2

  class Placement
    Place = Struct.new(:unit_id, :keyed, :content)
    # So many places are named, each with so much of its text.
    SHOWN, LENGTH = 5, 40

    # {id of a segment of the document => index of the stored one that stands there}
    attr_reader :indexes

    # document: Document, as it is read now; stored: [[id, source in the written form] …] in text order.
    # Raises Refused "read-otherwise" where a text came, went or is another one.
    def initialize(document, stored)
      @document, @stored = document, stored
      @indexes = in_place? ? by_id : by_text
    end

    private

    def in_place?
      sources = @stored.to_h
      segments = @document.segments
      segments.size == @stored.size && segments.all? { |one| sources[one.id] == one.content.written }
    end

    def by_id = @stored.each_with_index.to_h { |(id, _), index| [id, index] }

    # The same texts at other places.
    def by_text
      revision = Revision.new(old_places, new_places)
      strange = revision.links.reject { |link| link.kind == :same }
      refuse(revision, strange) if strange.any? || revision.gone.any?

      revision.links.to_h { |link| [@document.segments[link.index].id, link.old] }
    end

    def old_places
      @stored.map { |id, source| Place.new(id.rpartition(":").first, false, Content.from_written(source)) }
    end

    def new_places = @document.segments.map { |one| Place.new(one.unit.id, false, one.content) }

    def refuse(revision, strange)
      old = (revision.gone + strange.filter_map(&:old)).sort
      fresh = strange.reject(&:old).map { |link| @document.segments[link.index].content.text }
      places = old.map { |index| named(index + 1, @stored[index].last) }
      places += fresh.map { |text| named("+", text) }
      raise Refused.new("read-otherwise", name: @document.name, places: places.first(SHOWN).join(" · "))
    end

    def named(number, text) = "#{number} “#{text[0, LENGTH]}”"
  end
end
