# A client's file opened for translation: the units of its format cut into segments.
module Glossema
  # id is unique in the document ("u12:1"); neighbours of one unit stand together. target: the translation a
  # bilingual file brings along, or nil.
  Segment =
    Struct.new(:id, :unit, :content, :target, keyword_init: true) do
      # The state a bilingual file gives it, or nil.
      def state = target && unit.state
    end

  class Document
    # Characters of text in a file at most, whatever its size: a small one can name a long text again and
    # again.
    MOST = 50_000_000

    attr_reader :format, :file, :segments, :name

    # bytes, name: the file; language: tag of the source, nil to go by the file or a guess; otherwise: the tag
    # where neither tells; by: "sentence" or
    # "paragraph"; breaks: {unit id => offsets} to cut exactly as before instead of by the rules; hand: {unit
    # id => {"text", "add", "remove"}}, what was cut and joined by hand, which holds as long as the text of
    # the unit is the same. Raises Refused.
    def initialize(
      bytes,
      name:,
      language: nil,
      otherwise: nil,
      by: "sentence",
      rules: Segmentation::Srx.default,
      options: {},
      breaks: nil,
      hand: {}
    )
      @name = name
      @format = Formats.detect(bytes, name)
      @file = read(bytes, options)
      bound
      @language, @otherwise = language, otherwise
      @breaks = breaks
      segmenter = Segmentation::Segmenter.new(self.language || "en", by: by, rules: rules)
      @pieces = units.to_h { |unit| [unit.id, cut(unit, segmenter, hand[unit.id])] }
      @segments =
        units.flat_map do |unit|
          pieces_of(unit.id)
            .select(&:segment?)
            .each_with_index
            .map do |piece, index|
              Segment.new(
                id: "#{unit.id}:#{index + 1}",
                unit: unit,
                content: piece.content,
                target: @pieces.fetch(unit.id).last
              )
            end
        end
    end

    def units = file.units

    # The offset in its unit's text at which a segment begins, and that at which its own text ends.
    def span_of(segment)
      at = 0
      waiting = segments_of(segment.unit)
      pieces_of(segment.unit.id).each do |piece|
        length = piece.content.text.length
        return at, at + length if piece.segment? && waiting.shift.id == segment.id

        at += length
      end
    end

    # A mark of a unit's text, for what was done to it by hand.
    def self.mark_of(text) = Zlib.crc32(text).to_s(36)

    # Does the file hold translations beside its sources?
    def bilingual? = file.respond_to?(:bilingual?) && file.bilingual?

    # The source language: as told, as the file names it, or as its text looks.
    def language
      @language ||=
        begin
          named = file.source_language
          own = named && Languages.could_be?(guessed_language, named) ? named : guessed_language
          own || @otherwise
        end
    end

    # The language that its text looks like, as a primary tag, or nil when there is too little to go by.
    def guessed_language
      @guessed_language ||= Languages.guess(units.first(400).map { |unit| unit.content.text }.join("\n"))
    end

    # The language of the translations, where the file names it.
    def target_language = file.respond_to?(:target_language) ? file.target_language : nil

    # {unit id => offsets} of the units that are cut, to be kept beside the translation.
    def breaks = @pieces.transform_values(&:first).reject { |_, offsets| offsets.empty? }

    # targets: {segment id => Content}; segments not named keep their source (in bilingual files: what stands
    # there). states: {segment id => state}, for files that hold them. Returns the bytes of the translated
    # file.
    def write(targets, target_language: nil, states: {})
      contents = unit_contents(targets, states)
      return file.write(contents, target_language: target_language) unless bilingual?

      file.write(
        contents,
        target_language: target_language,
        states: contents.to_h { |id, _| [id, states["#{id}:1"] || "translated"] }
      )
    end

    # The contents of the units that are to be written anew, {unit id => Content}.
    def unit_contents(targets, states = {})
      units.each_with_object({}) do |unit, contents|
        own = segments_of(unit)
        given = own.map { |segment| targets[segment.id]&.holdable&.with_codes_of(segment.content) }
        if given.compact.empty? ||
            own
                .zip(given)
                .all? { |segment, target| target.nil? || kept?(segment, target, states[segment.id]) }
          next
        end

        contents[unit.id] = Segmentation::Splitter.join(pieces_of(unit.id), given)
      end
    end

    # The document as simple HTML; the block is given each segment and answers the HTML shown for it.
    def preview
      file.preview do |unit|
        waiting, open = segments_of(unit), []
        pieces_of(unit.id)
          .each_with_index
          .map do |piece, index|
            next yield(waiting.shift) if piece.segment?

            Html.stretch(
              (
                if index.zero?
                  piece.content.items.drop_while { |item| item.is_a?(String) }
                else
                  piece.content.items
                end
              ),
              open
            )
          end
          .join
      end
    end

    def segments_of(unit)
      @by_unit ||= segments.group_by { |segment| segment.unit.id }
      (@by_unit[unit.id] || []).dup
    end

    private

    # What a parser stumbles over in a file that is not as its format says. Whoever mends us asks for the
    # fault itself.
    STUMBLES = [NoMethodError, TypeError, ArgumentError, RangeError, IndexError, EncodingError,
                SystemStackError].freeze

    def read(bytes, options)
      Formats.check_options(@format, options, name)
      @format.read(bytes, name: name, options: options)
    rescue *STUMBLES
      raise if ENV["GLOSSEMA_TRACE"]

      raise Refused.new("damaged.not-as-usual", name: name, file_format: @format::NAME)
    end

    def bound
      left = MOST
      units.each do |unit|
        raise Refused.new("hostile.growing", name: name) if (left -= unit.content.text.length).negative?
      end
    end

    # Kinds of unit whose number alone may have to take the target's form.
    WITH_NUMBERS = %w[cell cue].freeze

    # [offsets, pieces, target Content or nil] of a unit.
    def cut(unit, segmenter, done)
      return [], [Segmentation::Piece.new(false, unit.content)], nil unless translatable?(unit)

      offsets = @breaks ? @breaks.fetch(unit.id, []) : offsets_of(unit, segmenter, done)
      return [], *Segmentation::Splitter.split_pair(unit.content,
        unit.target) if unit.target && offsets.empty?

      [offsets, Segmentation::Splitter.split(unit.content, offsets), nil]
    end

    def offsets_of(unit, segmenter, done)
      by_hand(unit, unit.whole ? [] : segmenter.breaks(unit.content.text), done)
    end

    # Is there anything to translate? A mark, or a number that is no value, is not.
    def translatable?(unit)
      return true if unit.target || unit.extra || bilingual?

      text = unit.content.items.grep(String).join
      text.match?(/\p{L}/) || (text.match?(/\p{Nd}/) && (unit.key || WITH_NUMBERS.include?(unit.block)))
    end

    def by_hand(unit, offsets, done)
      return offsets unless done && done["text"] == self.class.mark_of(unit.content.text)

      (offsets - done["remove"].to_a + done["add"].to_a).uniq.sort
    end

    def pieces_of(id) = @pieces.fetch(id)[1]

    # Does a target leave the file as it is?
    def kept?(segment, target, state)
      return target == segment.content && !segment.unit.extra unless bilingual?

      target == segment.target && (state.nil? || state == segment.state)
    end
  end

  # A content as HTML for previews.
  module Html
    TAGS = {
      "bold" => "b",
      "italic" => "i",
      "underline" => "u",
      "strike" => "s",
      "super" => "sup",
      "sub" => "sub",
      "mono" => "code"
    }.freeze

    module_function

    def render(content) = stretch(content.well_formed.items, [])

    # items of a content that opens or closes pairs beyond itself; `open` carries them from one stretch to the
    # next.
    def stretch(items, open)
      items
        .map do |item|
          if item.is_a?(String)
            escape(item).gsub("\n", "<br>")
          elsif item.open?
            open.push(item) && tags(item).map { |tag| "<#{tag}>" }.join
          elsif item.close?
            tags(open.pop).reverse.map { |tag| "</#{tag.split.first}>" }.join
          elsif item.equiv == "\n"
            "<br>"
          elsif item.equiv == "\t"
            "&emsp;"
          elsif item.css.to_s == "hidden"
            ""
          else
            "<span class=\"code\">#{escape(item.display.to_s)}</span>"
          end
        end
        .join
    end

    def escape(text) = text.gsub("&", "&amp;").gsub("<", "&lt;").gsub(">", "&gt;").gsub('"', "&quot;")

    def tags(code)
      code.css.to_s.split.map { |word| TAGS[word] || "span class=\"#{word}\"" }
    end
    private_class_method :tags
  end
end
