# What all formats share that are text: places of units in the characters of the file, and writing by
# replacing nothing but these. Formats say DEFAULTS, their options, and `scan`, which calls `place` for each
# unit it finds.
require "strscan"
require "zlib"

module Glossema
  module Formats
    class TextFile
      DEFAULTS = {}.freeze
      # Where a unit stands: from…to are byte offsets in the text; write: given a Content (and a state),
      # answers the text to put there, or a list of [from, to, text].
      Place = Struct.new(:unit, :from, :to, :write, keyword_init: true)

      def self.read(bytes, name:, options: {}) = new(bytes, name, options)

      # Has the file one of the endings of this format?
      def self.ending?(name) = self::EXTENSIONS.include?(File.extname(name).delete(".").downcase)

      attr_reader :units, :options, :text

      def initialize(bytes, name, options)
        @name, @options, @bytes = name, Formats.defaults(self.class).merge(options), bytes
        @source =
          EncodedText.new(
            bytes,
            name,
            wanted: @options["encoding"],
            declares: declares_encoding?,
            forgiving: forgives_encoding?
          )
        @text = prepared(@source.text)
        @places, @free, @embedded, @messages = [], [], [], []
        scan
        # Units of files inside this one stand where those stand.
        inner =
          @embedded.flat_map do |from, _, file, prefix|
            file.units.map { |unit| [from, unit.dup.tap { |copy| copy.id = "#{prefix}#{unit.id}" }] }
          end
        own = @places.map { |place| [place.from, place.unit] }
        @units = in_order(own + inner).map(&:last)
      end

      def encoding = @source.encoding
      def source_language = nil

      # Bilingual files hold targets and states of their own.
      def bilingual? = false

      def write(contents, target_language: nil, states: {})
        edits =
          @places
            .select { |place| contents.key?(place.unit.id) }
            .flat_map { |place| edits_of(place, contents[place.unit.id], states[place.unit.id]) }
        edits.concat(further_edits(contents, target_language)) if contents.any?
        edits.concat(@messages.filter_map { |message| message.edit(contents) })
        @embedded.each do |from, to, file, prefix|
          inside =
            contents
              .select { |id, _| id.start_with?(prefix) }
              .transform_keys { |id| id.delete_prefix(prefix) }
          edits << [from, to, file.write(inside).dup.force_encoding("UTF-8")] if inside.any?
        end
        edits.empty? ? @bytes : encode(replaced(0, @text.bytesize, edits))
      end

      # A simple page: one line for each unit.
      def preview
        units.reject { |unit| unit.content.blank? }.map { |unit| "<p>#{yield unit}</p>" }.join("\n")
      end

      def untouched(other)
        one, two = skeleton, other.skeleton
        return [] if one == two

        at = one.each_char.zip(two.each_char).index { |a, b| a != b } || [one.length, two.length].min
        ["the text around the translation (near “#{one[[at - 10, 0].max, 30].gsub(/\s+/, " ")}”)"]
      end

      # The text without what was to be translated.
      def skeleton
        ranges =
          (
            @places.map { |place| [place.from, place.to] } + @free +
              @embedded.map { |from, to, *| [from, to] }
          ).sort
        out, at = +"", 0
        ranges.each do |from, to|
          out << slice(at, from) if from > at
          at = [at, to].max
        end
        out << slice(at, @text.bytesize)
        @embedded.reduce(out) { |sum, (_, _, file)| sum + file.skeleton }
      end

      private

      # The text before it is read; formats may change it.
      def prepared(text) = text

      def declares_encoding? = false
      def forgives_encoding? = false

      # [place, unit] pairs as they are read.
      def in_order(list) = list.sort_by.with_index { |(from, _), index| [from, index] }

      def further_edits(_contents, _target_language) = []

      def slice(from, to) = @text.byteslice(from, to - from)

      # How the file ends its lines.
      def line_end = @line_end ||= @text[/\r\n|\n|\r/] || "\n"

      # A character the encoding of the file lacks, as this format can write it; nil when it cannot.
      def escaped(_char) = nil

      def encode(text) = escaped("é") ? @source.bytes(text) { |char| escaped(char) } : @source.bytes(text)

      def edits_of(place, content, state)
        done = place.write.arity == 2 ? place.write.call(content, state) : place.write.call(content)
        done.is_a?(String) ? [[place.from, place.to, done]] : done
      end

      # The text from…to with those edits in it that lie inside.
      def replaced(from, to, edits)
        out, at = +"", from
        edits
          .sort_by
          .with_index { |(start, finish, _), index| [start, -finish, index] }
          .each do |start, finish, put|
            next if start < at || finish > to

            out << slice(at, start) << put
            at = finish
          end
        out << slice(at, to)
      end

      def place(
        id,
        from,
        to,
        content,
        block: "line",
        location: Location.named(id),
        note: nil,
        limit: nil,
        key: nil,
        **more,
        &write
      )
        note = nil if note.to_s.strip.empty?
        unit =
          Unit.new(
            id: id,
            location: location,
            block: block,
            content: content,
            note: note,
            limit: limit,
            key: key,
            **more
          )
        @places << Place.new(unit: unit, from: from, to: to, write: write)
        unit
      end

      # Takes a text of software with its placeholders, or the branches of a message; the block turns what is
      # to be written into the bytes of from…to.
      def place_text(id, from, to, text, key: id, **facts, &encode)
        if Message.plural?(text)
          message = Message.new(text, language: plural_language, quoting: quotes_braces?)
          return place_message(message, id, from, to, key, facts, &encode)
        end

        content, raws = Placeholders.read(text)
        place(id, from, to, content, key: key, **facts) do |target|
          encode.call(Placeholders.write(target, raws, &:itself))
        end
      end

      # The language whose plural forms are wanted, or nil.
      def plural_language
        language = @options["target_language"].to_s
        language unless language.empty? || @options["plurals"] == false
      end

      def quotes_braces? = true

      # Each branch is a unit; a message is written whole.
      def place_message(message, id, from, to, key, facts, &encode)
        writers =
          message.leaves.select { |leaf| leaf.text.match?(/\p{L}/) }.to_h do |leaf|
            content, raws = message.read(leaf)
            note = [facts[:note].to_s,
                    leaf.added ? "plural form “#{leaf.label}”" : ""].reject(&:empty?).join(" · ")
            place("#{id}/#{leaf.label}", from, to, content,
              **facts, key: "#{key} · #{leaf.label}", note: note, extra: leaf.added) { [] }
            ["#{id}/#{leaf.label}", [leaf.label, ->(target) { message.written(leaf, target, raws) }]]
          end
        @messages << Written.new(message, from, to, writers, encode)
      end

      # A message in its place. writers: {unit id => [label of the leaf, Content → its text]}.
      Written =
        Struct.new(:message, :from, :to, :writers, :encode) do
          # [from, to, text] with the contents of its units, or nil where there are none.
          def edit(contents)
            own = writers.select { |id, _| contents.key?(id) }
            return if own.empty?

            texts = own.to_h { |id, (label, write)| [label, write.call(contents[id])] }
            [from, to, encode.call(message.write(texts))]
          end
        end

      # Takes the bytes from…to as a file of another format; its units' ids begin with the prefix.
      def embed(from, to, format, prefix, options = {})
        file = format.new(slice(from, to).b, @name, options)
        @embedded << [from, to, file, prefix] if file.units.any?
      end

      # fault: a variant of "damaged" in the catalogue; at: where in the text, in bytes.
      def damaged(fault, at = nil, **details)
        line = at ? Refusals.phrase("line", line: @text.byteslice(0, at).count("\n") + 1) : ""
        raise Refused.new("damaged.#{fault}", name: @name, place: line, **details)
      end
    end
  end
end
