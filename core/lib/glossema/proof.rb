# The proof: a written file is read back and compared with what was meant to be in it; and for documents of
# many parts a judge that knows nothing of our readers compares what must not change.
module Glossema
  class Proof
    # unit: its id, or nil; what: the kind of difference ("text", "codes", "missing" …); key: of its sentence
    # in data/refusals; details: plain values that the sentence names, by their names.
    Difference =
      Struct.new(:unit, :what, :key, :details, keyword_init: true) do
        # value: as to_h gives it.
        def self.from_h(value) = new(**value.transform_keys(&:to_sym).slice(*members))

        # Has it a message, or was it stored with one by an earlier version? A shape for DataShape.
        def self.fits?(value)
          return false unless DataShape.fits?({ "unit" => DataShape::Maybe.new(:text), "what" => :text },
            value)

          DataShape.fits?(:text, value["message"] || from_h(value).message)
        rescue KeyError, TypeError, NoMethodError, ArgumentError
          false
        end

        # In the language of the user.
        def message = Refusals.difference(key, details.transform_keys(&:to_sym).merge(texts))

        def to_h = { "unit" => unit, "what" => what, "key" => key, "details" => details }

        private

        # The texts of those details that are data.
        def texts
          {
            place: details["location"]&.then { |location| Location.text(location) },
            block: details["block"]&.then { |block| Location.text(Location.block(block)) },
            other_block: details["other_block"]&.then { |block| Location.text(Location.block(block)) },
            element: details["element"]&.then { |name| Refusals.difference("elements.#{name}", {}) }
          }.compact
        end
      end

    # differences: what is wrong; left: texts computed from others (entries of contents, references) that
    # could not be renewed.
    attr_reader :differences, :left

    # document: the Document written from; bytes: what was written; targets, states: as given to write.
    def initialize(document, bytes, targets, states: {})
      @document, @bytes, @targets = document, bytes, targets
      @contents = document.unit_contents(targets, states)
      @differences = []
      @left = document.file.respond_to?(:left) ? document.file.left : []
      compare_codes(targets)
      compare(bytes)
      compare_structure(bytes)
    end

    # Can the written file not even be read?
    def unreadable? = differences.any? { |difference| difference.what == "unreadable" }

    def identical? = differences.empty?
    def segments = @document.segments.size
    def words = @document.segments.sum { |segment| Counting::Count.count(segment.content).words }
    def codes = @document.segments.sum { |segment| segment.content.code_count }

    CONFIRMED = %w[translated reviewed final].freeze

    # Segments whose text in the file nobody confirmed, and those whose source stands there as it is:
    # {purpose: [Segment …], untouched: [Segment …], drafts: [Segment …]}. On purpose: confirmed so, or
    # nothing but figures and what is never to be translated; drafts: translated, and not confirmed. states:
    # {segment id => state} of all of them; never_translated: as Terms::Listed takes them.
    def source_kept(states, never_translated: [])
      listed = Terms::Listed.new(never_translated)
      kept = @document.segments.select { |segment| kept?(segment) }
      purpose, untouched = kept.partition do |segment|
        text = segment.content.text
        CONFIRMED.include?(states[segment.id]) || !bare(text, listed.find(text)).match?(/\p{L}/)
      end
      drafts = (@document.segments - kept).reject { |segment| CONFIRMED.include?(states[segment.id]) }
      { purpose: purpose, untouched: untouched, drafts: drafts }
    end

    # Source texts that still stand in the file though they are translated, see SourceLeft; a bilingual file
    # keeps its sources.
    def source_left
      return [] if @document.bilingual?

      pairs = @document.segments.map do |segment|
        [segment.content.text, (@targets[segment.id] || segment.content).text]
      end
      SourceLeft.find(@bytes, pairs)
    end

    # Plain values: {"segments", "words", "codes", "identical", "differences"}, and "left" where there is
    # something. A difference has its message; in record, which is made to be stored, its key and details.
    def to_h
      record.merge(
        "differences" => differences.map do |difference|
          { "unit" => difference.unit, "what" => difference.what, "message" => difference.message }
        end
      )
    end

    def record
      found = {
        "segments" => segments, "words" => words, "codes" => codes, "identical" => identical?,
        "differences" => differences.map(&:to_h)
      }
      left.empty? ? found : found.merge("left" => left)
    end

    private

    def kept?(segment)
      target = @targets[segment.id]
      return target.nil? || target.text == segment.content.text unless @document.bilingual?

      (target || segment.target || segment.content).text == segment.content.text
    end

    # A text without some places of it.
    def bare(text, places)
      places.sort_by(&:from).reverse.reduce(text) { |rest, place| rest[0...place.from] + rest[place.to..] }
    end

    def compare(bytes)
      written = @document.format.read(bytes, name: @document.name, options: @document.file.options)
      @document
        .file
        .untouched(written)
        .each { |part| note(nil, "part", "part", part: part) }
      back = written.units.to_h { |unit| [unit.id, unit] }
      @document.units.each { |unit| compare_unit(unit, back.delete(unit.id)) }
      back.each_value do |unit|
        note(unit.id, "added", "added", location: unit.location, text: unit.content.text[0, 60])
      end
    rescue Refused => e
      note(nil, "unreadable", "unreadable", reason: e.message)
    end

    def compare_unit(unit, found)
      return compare_pair(unit, found) if @document.bilingual?

      wanted = @contents[unit.id] || unit.content
      if found.nil?
        unless wanted.blank? || (unit.extra && !@contents[unit.id])
          note(unit.id, "missing", "missing", location: unit.location)
        end
      elsif unit.block != found.block
        blocks = { block: unit.block, other_block: found.block }
        note(unit.id, "structure", "block", location: unit.location, **blocks)
      elsif !same?(wanted, found.content, unit.look, found.look)
        note_difference(wanted, found.content, unit)
      end
    end

    # The same to a reader? White space counts once, and not at the edges.
    def same?(wanted, found, look = nil, found_look = nil)
      wanted.shows_as?(found, look, found_look) || folded(wanted.flat(look)) == folded(found.flat(found_look))
    end

    def folded(flat)
      list = flat.map { |text, *rest| [text.gsub(/[ \n]+/, " "), *rest] }
      list.shift while list.first&.first == " "
      list.pop while list.last&.first == " "
      list
    end

    def note_difference(wanted, found, unit)
      if words_of(wanted) == words_of(found)
        note(unit.id, "codes", "codes", location: unit.location, text: wanted.text[0, 60])
      else
        note_text(unit, "text", wanted.text, found.text)
      end
    end

    def note_text(unit, what, wanted, found)
      one, other = Visible.pair(wanted, found)
      note(unit.id, what, what, location: unit.location, wanted: one, found: other)
    end

    def words_of(content) = content.text.gsub(/[[:space:]]+/, " ").strip

    # In a bilingual file the source stays and the translation is what was put in.
    def compare_pair(unit, found)
      wanted = @contents[unit.id] || unit.target
      if found.nil?
        note(unit.id, "missing", "missing", location: unit.location)
      elsif !same?(unit.content, found.content)
        note_text(unit, "source", unit.content.text, found.content.text)
      elsif wanted.nil? != found.target.nil? || (wanted && !same?(wanted, found.target))
        note_text(unit, "text", wanted&.text.to_s, found.target&.text.to_s)
      end
    end

    # What must not change in a document of many parts.
    def compare_structure(bytes)
      return if unreadable? || @document.bilingual? || !@document.file.respond_to?(:container)

      Structure
        .differences(@document.file.container.bytes, bytes, @document.name)
        .each { |key, details| note(nil, "structure", key, **details) }
    end

    # Codes of the source that a target lost or added.
    def compare_codes(targets)
      @document.segments.each do |segment|
        target = targets[segment.id] or next
        next unless target.coded? || segment.content.coded?

        # What a client's file brought along is not ours to mend here.
        next if segment.target && target == segment.target

        balance = Content::Balance.new(segment.content.written, target.written)
        next if balance.even?

        note_codes(segment, "codes-missing", balance.missing)
        note_codes(segment, "codes-added", balance.added)
      end
    end

    def note_codes(segment, key, codes)
      return if codes.empty?

      note(segment.id, "codes", key, text: segment.content.text[0, 50], codes: codes.uniq.join(" "))
    end

    def note(unit, what, key, **details)
      @differences << Difference.new(unit: unit, what: what, key: key,
        details: details.transform_keys(&:to_s))
    end
  end
end

require "glossema/proof/source_left"
require "glossema/proof/structure"
require "glossema/proof/visible"
