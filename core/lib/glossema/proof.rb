# The proof: a written file is read back and compared with what was meant to be in it.
module Glossema
  class Proof
    Difference = Struct.new(:unit, :what, :message, keyword_init: true)

    attr_reader :differences

    # document: the Document written from; bytes: what was written; targets, states: as given to write.
    def initialize(document, bytes, targets, states: {})
      @document = document
      @contents = document.unit_contents(targets, states)
      @differences = []
      compare_codes(targets)
      compare(bytes)
    end

    def identical? = differences.empty?
    def segments = @document.segments.size
    def words = @document.segments.sum { |segment| Counting::Count.of(segment.content).words }
    def codes = @document.segments.sum { |segment| segment.content.code_count }

    # Plain values: {"segments", "words", "codes", "identical", "differences"}.
    def to_h
      {
        "segments" => segments,
        "words" => words,
        "codes" => codes,
        "identical" => identical?,
        "differences" =>
          differences.map do |difference|
            { "unit" => difference.unit, "what" => difference.what, "message" => difference.message }
          end
      }
    end

    private

    def compare(bytes)
      written = @document.format.read(bytes, name: @document.name, options: @document.file.options)
      @document
        .file
        .untouched(written)
        .each { |part| note(nil, "part", "#{part} should have stayed as it was and did not.") }
      back = written.units.to_h { |unit| [unit.id, unit] }
      @document.units.each { |unit| compare_unit(unit, back.delete(unit.id)) }
      back.each_value do |unit|
        note(unit.id, "added", "#{unit.path} was not in the source: “#{unit.content.text[0, 60]}”.")
      end
    rescue Refused => e
      note(nil, "unreadable", "The written file cannot be read: #{e.message}")
    end

    def compare_unit(unit, found)
      return compare_pair(unit, found) if @document.bilingual?

      wanted = @contents[unit.id] || unit.content
      if found.nil?
        unless wanted.blank? || (unit.extra && !@contents[unit.id])
          note(unit.id, "missing", "#{unit.path} is missing in the written file.")
        end
      elsif unit.block != found.block
        note(unit.id, "structure", "#{unit.path} was #{unit.block} and is #{found.block}.")
      elsif wanted.shows_as?(found.content, unit.look, found.look)
        nil
      elsif texts(wanted.flat(unit.look)) != texts(found.content.flat(found.look))
        note(
          unit.id,
          "text",
          "#{unit.path} should read “#{wanted.text[0, 80]}” and reads “#{found.content.text[0, 80]}”."
        )
      else
        note(unit.id, "codes", "#{unit.path} has other codes than were written.")
      end
    end

    # In a bilingual file the source stays and the translation is what was put in.
    def compare_pair(unit, found)
      wanted = @contents[unit.id] || unit.target
      if found.nil?
        note(unit.id, "missing", "#{unit.path} is missing in the written file.")
      elsif !unit.content.shows_as?(found.content)
        note(
          unit.id,
          "source",
          "The source of #{unit.path} should have stayed “#{unit.content.text[0, 80]}” and did not."
        )
      elsif wanted.nil? != found.target.nil? || (wanted && !wanted.shows_as?(found.target))
        note(
          unit.id,
          "text",
          "#{unit.path} should read “#{wanted&.text.to_s[0, 80]}” and reads “" \
            "#{found.target&.text.to_s[0, 80]}”."
        )
      end
    end

    def texts(flat) = flat.map(&:first).join

    # Codes of the source that a target lost or added.
    def compare_codes(targets)
      @document.segments.each do |segment|
        target = targets[segment.id] or next
        next unless target.coded? || segment.content.coded?

        # What a client's file brought along is not ours to mend here.
        next if segment.target && target == segment.target

        lost = segment.content.codes.map(&:written).tally
        target.codes.each { |code| lost[code.written] = lost.fetch(code.written, 0) - 1 }
        wrong = lost.reject { |_, count| count.zero? }
        next if wrong.empty?

        words = wrong.map { |code, count| "#{code} #{count.positive? ? "missing" : "added"}" }.join(", ")
        note(segment.id, "codes", "Codes of “#{segment.content.text[0, 50]}”: #{words}.")
      end
    end

    def note(unit, what, message) = @differences << Difference.new(unit: unit, what: what, message: message)
  end
end
