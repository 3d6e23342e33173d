# JSON: every text is a unit, its place (a.b[2].c) the key; names of members stay. ARB-like files: "@key"
# gives the note of "key". i18next-like files: endings such as _one and _other are plural forms, and those the
# target language needs besides are added. Options: "only" and "except", patterns of places ("*.title,
# settings.**"); "plurals".
module Glossema
  module Formats
    class Json < TextFile
      Formats.announce(self, rank: 41)

      NAME = "JSON".freeze
      EXTENSIONS = %w[json arb].freeze
      MEDIA_TYPE = "application/json".freeze
      DEFAULTS = { "only" => "", "except" => "", "plurals" => true,
                   "target_language" => Inner.new("") }.freeze
      ESCAPES = {
        "b" => "\b",
        "f" => "\f",
        "n" => "\n",
        "r" => "\r",
        "t" => "\t",
        '"' => '"',
        "\\" => "\\",
        "/" => "/"
      }.freeze
      PLURAL = /\A(.+)_(zero|one|two|few|many|other)\z/
      # Texts nobody reads: addresses, colours, numbers, codes, file names.
      NOT_TEXT =
        %r{\A(?:https?://\S+|mailto:\S+|#\h{3,8}|[\d.,:+%-]+|[\w.-]+\.(?:png|jpe?g|gif|svg|webp|css|js|html?|pdf|mp4)|\{\{?\s*[\w.]+\s*\}?\})\z}i

      Member = Struct.new(:path, :name, :from, :to, :entry_from)

      def self.recognises?(bytes, name)
        EncodedText.text?(bytes) &&
          (ending?(name) || (File.extname(name).empty? && EncodedText.head(bytes, 200).match?(/\A\s*\{\s*"/)))
      end

      # Does a pattern name this place? * stands for one step, ** for any number; a name alone is found at any
      # depth.
      def self.place_matches?(pattern, path)
        @patterns ||= {}
        regex =
          @patterns[pattern] ||= begin
            inner = Regexp.escape(pattern).gsub('\\*\\*', ".*").gsub('\\*', '[^.\\[]*')
            pattern.include?(".") ? /\A#{inner}(?:\z|[.\[])/ : /(?:\A|\.)#{inner}(?:\z|\.|\[)/
          end
        path.match?(regex)
      end

      # Is a place taken by the options "only" and "except"?
      def self.wanted?(path, options)
        only, except =
          %w[only except].map { |name| options[name].to_s.split(/[,\n]/).map(&:strip).reject(&:empty?) }
        except.none? { |pattern| place_matches?(pattern, path) } &&
          (only.empty? || only.any? { |pattern| place_matches?(pattern, path) })
      end

      def preview
        "<table class=\"keys\">" \
"#{units.reject { |unit|
  unit.content.blank?
}.map { |unit|
  "<tr><th>#{Glossema::Html.escape(unit.key || unit.path)}</th><td>" \
    "#{yield unit}</td></tr>"
}.join}</table>"
      end

      private

      def scan
        check
        @scanner, @found = StringScanner.new(@text), []
        value("", nil, 0)
        @arb =
          @found.any? { |member| member.path.start_with?("@@") } || File.extname(@name).downcase == ".arb"
        notes = @arb ? notes_of : {}
        texts = @found.reject { |member| @arb && member.path.start_with?("@") }
        texts.each { |member| take(member, notes) if self.class.wanted?(member.path, @options) }
        @locale = @found.find { |member| member.path == "@@locale" }
        @free << [@locale.from, @locale.to] if @locale
        add_plurals(texts) if @options["plurals"] && @options["target_language"].to_s != ""
      end

      def further_edits(_contents, target_language)
        target_language && @locale ? [[@locale.from, @locale.to, target_language.tr("-", "_")]] : []
      end

      def check
        ::JSON.parse(@text, max_nesting: 200)
      rescue ::JSON::NestingError
        raise Refused.new("hostile.values-too-deep", name: @name)
      rescue ::JSON::ParserError => e
        raise Refused.new("damaged.json", name: @name, place: Refusals.place(e))
      end

      def value(path, name, entry)
        skip
        if @scanner.skip(/\{/)
          object(path)
        elsif @scanner.skip(/\[/)
          array(path)
        elsif @scanner.check(/"/)
          from = @scanner.pos
          string
          @found << Member.new(path, name, from + 1, @scanner.pos - 1, entry)
        else
          @scanner.skip(/[^\s,\]\}]+/)
        end
        skip
      end

      def skip = @scanner.skip(%r{(?:\s+|//[^\n]*|/\*.*?\*/)+}m)

      def string
        from = @scanner.pos
        @scanner.skip(/"(?:[^"\\]+|\\.)*"/m) ||
          raise(Refused.new("damaged.text-without-end", name: @name, place: ""))
        slice(from + 1, @scanner.pos - 1)
      end

      def object(path)
        skip
        until @scanner.skip(/\}/)
          entry = @scanner.pos
          name = decode(string)
          skip
          @scanner.skip(/:/)
          value(path.empty? ? name : "#{path}.#{name}", name, entry)
          @scanner.skip(/,/)
          skip
        end
      end

      def array(path)
        index = 0
        skip
        until @scanner.skip(/\]/)
          value("#{path}[#{index}]", nil, @scanner.pos)
          index += 1
          @scanner.skip(/,/)
          skip
        end
      end

      def decode(raw)
        return raw unless raw.include?("\\")

        raw.gsub(/\\u([dD][89abAB]\h\h)\\u([dD][c-fC-F]\h\h)|\\u(\h{4})|\\(.)/m) do
          high, low, single, escape = Regexp.last_match.captures
          if high
            [0x10000 + ((high.hex - 0xD800) << 10) + low.hex - 0xDC00].pack("U")
          elsif single
            single.hex.between?(0xD800, 0xDFFF) ? "\uFFFD" : [single.hex].pack("U")
          else
            ESCAPES.fetch(escape, escape)
          end
        end
      end

      # A file that keeps its letters as \u escapes keeps doing so.
      def encoded(text)
        out = ::JSON.generate(text)[1..-2]
        out = out.gsub("/", "\\/") if slashes?
        if ascii?
          out.gsub(/[^\x00-\x7F]/) do |char|
            char.encode("UTF-16BE").unpack("n*").map { |unit| format("\\u%04x", unit) }.join
          end
        else
          out
        end
      end

      def ascii?
        return @ascii if defined?(@ascii)

        @ascii = @text.ascii_only? && @text.match?(/\\u(?!00[01])\h{4}/)
      end

      def slashes? =
        @slashes.nil? ? (@slashes = @text.include?("\\/") && !@text.match?(%r{[^\\:/]/})) : @slashes

      def take(member, notes)
        text = decode(slice(member.from, member.to))
        return if !text.match?(/\p{L}/) || text.match?(NOT_TEXT)

        note, limit = notes[member.path]
        place_text(member.path, member.from, member.to, text, note: note, limit: limit) { |done|
          encoded(done)
        }
      end

      # Apostrophes of ARB quote only where its tools were told so.
      def quotes_braces? = !@arb || @text.match?(/''|'\{[^']*'/)

      # ARB: what "@key" says of "key".
      def notes_of
        data = ::JSON.parse(@text)
        data
          .select { |key, value| key.start_with?("@") && !key.start_with?("@@") && value.is_a?(Hash) }
          .to_h do |key, value|
            [
              key.delete_prefix("@"),
              [
                [value["description"], value["context"]].compact.join(" · "),
                value["maxLength"] || value["x-limit"]
              ]
            ]
          end
      end

      # Plural forms the target language has and the source lacks are put in after the last one.
      def add_plurals(members)
        members
          .select { |member| member.name.to_s.match?(PLURAL) }
          .group_by { |member| member.path[PLURAL, 1] }
          .each_value do |group|
            next if group.size < 2 || group.none? { |member| member.path.end_with?("_other") }

            group.each do |member|
              @free << [group.first.entry_from, group.last.to + 1] if member.equal?(group.first)
            end
            have = group.map { |member| member.path[PLURAL, 2] }
            other = group.find { |member| member.path.end_with?("_other") }
            (Plurals.categories(@options["target_language"]) - have).each do |category|
              add_form(other, group.last, category)
            end
          end
      end

      def add_form(other, last, category)
        content, raws = Placeholders.read(decode(slice(other.from, other.to)))
        path = other.path.sub(/_other\z/, "_#{category}")
        gap = @text.byteslice(0, other.entry_from)[/(?<!\s)\s*\z/]
        place(
          path,
          last.to + 1,
          last.to + 1,
          content,
          key: path,
          note: "plural form “#{category}”",
          extra: true
        ) do |target|
          ",#{gap}#{::JSON.generate(other.name.sub(/_other\z/, "_#{category}"))}: " \
            "\"#{encoded(Placeholders.write(target, raws, &:itself))}\""
        end
      end
    end
  end
end
