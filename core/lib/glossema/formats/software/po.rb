# PO and POT: messages with context, notes and flags; plurals with as many forms as the target language has.
# Translations that are already there are taken over, fuzzy ones as drafts.
module Glossema
  module Formats
    class Po < TextFile
      Formats.announce(self, rank: 40)

      NAME = "PO".freeze
      EXTENSIONS = %w[po pot].freeze
      MEDIA_TYPE = "text/x-gettext-translation".freeze
      DEFAULTS = { "target_language" => Inner.new(""), "encoding" => "" }.freeze
      ESCAPES = { "n" => "\n", "t" => "\t", "r" => "\r" }.freeze
      # A message: comments by their mark, fields by name ([value, from, to] of the lines they take), and
      # where it stands.
      Entry = Struct.new(:comments, :fields, :from, :to, :flags, keyword_init: true)
      ORDINALS = %w[first second third fourth fifth sixth].freeze

      def self.recognises?(bytes, name)
        return false unless EncodedText.text?(bytes)

        EncodedText.head(bytes).match?(/^msgid\s+"/) && EncodedText.head(bytes).match?(/^msgstr/) ||
          ending?(name)
      end

      def bilingual? = true

      def preview
        "<table class=\"keys\">#{units.map { |unit| "<tr><td>#{yield unit}</td></tr>" }.join}</table>"
      end

      private

      def declares_encoding? = true

      def scan
        @entries = messages
        header =
          @entries.find { |message| message.fields["msgid"]&.first == "" && !message.fields["msgctxt"] }
        read_header(header) if header
        @forms = forms
        @entries.each { |message| take(message) unless message.equal?(header) || !message.fields["msgid"] }
      end

      def messages
        list, current, field, at, line_number = [], nil, nil, 0, 0
        @text
          .split(/(?<=\n)|(?<=\r)(?!\n)/)
          .each do |line|
            from, at = at, at + line.bytesize
            line_number += 1
            case line
            when /\A\s*\z/
              current = field = nil
            when /\A#~/
              current = field = nil
            when /\A#(.?)\s?(.*?)\s*\z/m
              mark, text = Regexp.last_match.captures
              list << (
                current =
                  Entry.new(comments: Hash.new { |hash, key| hash[key] = [] }, fields: {}, from: from)
              ) if current.nil? || current.fields.any?
              field = nil
              current.comments[mark] << text
              current.flags = [from, at] if mark == ","
              current.to = at
            when /\A\s*(msgctxt|msgid_plural|msgid|msgstr(?:\[\d+\])?)\s*(".*")\s*\z/m
              name, text = Regexp.last_match.captures
              fresh =
                current.nil? ||
                (
                  current.fields.any? &&
                    (name == "msgctxt" || (name == "msgid" && current.fields.key?("msgid")))
                )
              list << (
                current =
                  Entry.new(comments: Hash.new { |hash, key| hash[key] = [] }, fields: {}, from: from)
              ) if fresh
              field = name
              start = from + line.index("\"")
              current.fields[name] = [
                decode(text[1..-2]),
                start,
                start + line.byteslice(line.index("\"")..).rstrip.bytesize
              ]
              current.to = at
            when /\A\s*(".*")\s*\z/m
              damaged("text-outside-message", from) unless field

              current.fields[field][0] += decode(Regexp.last_match(1)[1..-2])
              current.fields[field][2] = from + line.rstrip.bytesize
              current.to = at
            else
              damaged("line-of-no-message", from, text: line.strip[0, 40])
            end
          end
        list
      end

      def decode(raw) =
        raw.gsub(/\\(?:x(\h{2})|([0-7]{3})|(.))/m) do
          if Regexp.last_match(3)
            ESCAPES.fetch(Regexp.last_match(3), Regexp.last_match(3))
          else
            (Regexp.last_match(1)&.hex || Regexp.last_match(2).oct).chr
          end
        end

      def read_header(message)
        text, from, to = message.fields["msgstr"]
        return unless text

        @header = [text, from, to]
        @free << [from, to]
        @language = text[/^Language:\s*([\w@-]+)/, 1]
        @plural_forms = text[/^Plural-Forms:\s*(.*?)\s*$/, 1]
      end

      # The plural forms of the target, as a Plural-Forms value.
      def wanted_forms
        stated = @plural_forms if @plural_forms.to_s.match?(/nplurals=\d/)
        target = @options["target_language"].to_s
        return stated || Plurals::OTHERS if target.empty?

        stated && Languages.same?(@language.to_s.tr("_", "-"), target) ? stated : Plurals.gettext(target)
      end

      def forms = wanted_forms[/nplurals=(\d+)/, 1].to_i.clamp(1, 6)

      def take(message)
        source, = message.fields["msgid"]
        context, = message.fields["msgctxt"]
        facts = {
          key: context || message.comments[":"].join(" ")[0, 200],
          note: note_of(message, context),
          whole: true
        }
        @count = @count.to_i + 1
        base =
          "m#{Zlib.crc32([context, source, message.fields["msgid_plural"]&.first].join("\u0004")).to_s(36)}"
        @ids ||= Hash.new(0)
        base += "-#{@ids[base]}" if (@ids[base] += 1) > 1
        fuzzy = message.comments[","].any? { |flags| flags.include?("fuzzy") }
        plural, = message.fields["msgid_plural"]
        return take_form(base, source, message, "msgstr", fuzzy, facts) unless plural

        (0...@forms).each do |number|
          form = @forms > 1 && number.zero? ? source : plural
          take_form(
            "#{base}[#{number}]",
            form,
            message,
            "msgstr[#{number}]",
            fuzzy,
            facts.merge(
              note: [
                facts[:note].then { |note| note unless note.to_s.empty? },
                "plural: #{ORDINALS[number]} of #{@forms} forms"
              ].compact.join(" · ")
            )
          )
        end
        # Forms in the file that the target language does not have stay; forms it needs besides are added.
        written = message.fields.filter_map { |name, field| field[1] if name.start_with?("msgstr") }
        @free << [written.min || message.to, message.to]
      end

      def note_of(message, context)
        flags =
          message.comments[","]
            .flat_map { |line| line.split(",") }
            .map(&:strip)
            .reject { |flag| flag == "fuzzy" || flag.end_with?("-format") || flag.empty? }
        [context && "context: #{context}", *message.comments["."], *message.comments[" "], *flags].compact
          .reject(&:empty?)
          .join(" · ")
      end

      def take_form(id, source, message, name, fuzzy, facts)
        return if source.strip.empty?

        content, raws = Placeholders.read(source)
        given, from, to = message.fields[name]
        target = given && !given.empty? ? Placeholders.read_target(given, content, raws) : nil
        unless from
          last =
            message.fields.select { |field, _| field.start_with?("msgstr") }.values.max_by(&:last) ||
            message.fields.values.max_by(&:last)
          from = to = last[2]
        end
        fresh = given.nil?
        limit = note_limit(facts[:note])
        place(
          id,
          from,
          to,
          content,
          location: Location.new("message", number: @count),
          target: target,
          state: target && (fuzzy ? "draft" : "translated"),
          limit: limit,
          **facts
        ) do |content_of_target, state|
          text = Placeholders.write(content_of_target, raws, &:itself)
          line = quoted(text)
          line = "#{line_end}#{name} #{line}" if fresh
          [[from, to, line], *flag_edits(message, fuzzy, state)]
        end
      end

      def note_limit(note) = note.to_s[/max(?:imum)?[ -]?(?:length|len)?:?\s*(\d+)/i, 1]&.to_i

      # A fuzzy flag goes when its message is confirmed.
      def flag_edits(message, fuzzy, state)
        return [] unless fuzzy && state != "draft" && message.flags

        from, to = message.flags
        @free << [from, to] unless @free.include?([from, to])
        rest = slice(from, to).strip.delete_prefix("#,").split(",").map(&:strip) - ["fuzzy"]
        [[from, to, rest.empty? ? "" : "#, #{rest.join(", ")}#{line_end}"]]
      end

      def quoted(text)
        raw = ->(piece) do
          "\"" \
            "#{piece.gsub(/["\\\n\t\r]/, '"' => "\\\"", "\\" => "\\\\", "\n" => "\\n", "\t" => "\\t",
              "\r" => "\\r")}\""
        end
        lines = text.split(/(?<=\n)/)
        lines.size < 2 ? raw.call(text) : ["\"\"", *lines.map(&raw)].join(line_end)
      end

      # The header says language and plural forms of the target.
      def further_edits(_contents, target_language)
        return [] unless @header && target_language

        text, from, to = @header
        text =
          (
            if text.match?(/^Language:.*$/)
              text.sub(/^Language:.*$/, "Language: #{target_language.tr("-", "_")}")
            else
              text
            end
          )
        text =
          (
            if text.match?(/^Plural-Forms:/) && text[/^Plural-Forms:(.*)$/, 1].to_s.strip != wanted_forms
              text.sub(/^Plural-Forms:.*$/) { "Plural-Forms: #{wanted_forms}" }
            else
              text
            end
          )
        text == @header.first ? [] : [[from, to, quoted(text)]]
      end

      # Flags are compared apart: confirming takes "fuzzy" away.
      public def skeleton
        @entries.each { |message| @free << message.flags if message.flags }
        super
      end
    end
  end
end
