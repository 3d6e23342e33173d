# YAML: every text is a unit, its place (a.b[2]) the key; comments, order, anchors and styles of writing stay.
# A file with one root named by a language gets the target's there, and plural forms under a key (one, other)
# are added as the target needs them.
autoload :Psych, "psych"

module Glossema
  module Formats
    class Yaml < KeyedFile
      Formats.announce(self, rank: 42)

      NAME = "YAML".freeze
      EXTENSIONS = %w[yml yaml].freeze
      MEDIA_TYPE = "application/yaml".freeze
      DEFAULTS = {
        "only" => "",
        "except" => "",
        "plurals" => true,
        "target_language" => Inner.new(""),
        "encoding" => ""
      }.freeze
      MAX_DEPTH = 200

      def self.recognises?(bytes, name) = EncodedText.text?(bytes) && ending?(name)

      # Would YAML read this unquoted value as a text?
      def self.text?(value)
        ::Psych::ScalarScanner.new(::Psych::ClassLoader::Restricted.new([], [])).tokenize(value).is_a?(String)
      rescue ::Psych::DisallowedClass
        false
      end

      private

      def scan
        events = Events.new
        Psych::Parser.new(events).parse(@text)
        @lines = @text.lines
        @starts = @lines.reduce([0]) { |list, line| list << (list.last + line.bytesize) }
        find_root(events)
        events.scalars.each { |scalar| take_scalar(scalar) }
        add_plurals(events) if @options["plurals"] && @options["target_language"].to_s != ""
      rescue Psych::SyntaxError => e
        raise Refused.new("damaged.yaml", name: @name, place: Refusals.place(e))
      rescue Events::TooDeep
        raise Refused.new("hostile.values-too-deep", name: @name)
      end

      def offset(line, column)
        if line >= @lines.size
          @text.bytesize
        else
          @starts[line] + @lines[line].each_char.first(column).sum(&:bytesize)
        end
      end

      def take_scalar(scalar)
        return unless scalar.text? && Json.wanted?(scalar.path, @options)

        from, to, raw_indent = range(scalar)
        note = comment_above(scalar.line)
        value = scalar.block? ? scalar.value.chomp : scalar.value
        return if !value.match?(/\p{L}/) || value.match?(Json::NOT_TEXT)

        @keys ||= Hash.new(0)
        id = (@keys[scalar.path] += 1) > 1 ? "#{scalar.path}##{@keys[scalar.path]}" : scalar.path
        place_text(id, from, to, value, key: scalar.path, note: note) do |done|
          written(done, scalar.style, raw_indent, slice(from, to))
        end
      end

      # The bytes a scalar takes; for block scalars the lines of its text, and their indentation.
      def range(scalar)
        from, to = offset(scalar.line, scalar.column), offset(scalar.end_line, scalar.end_column)
        return from, to, nil unless scalar.block?

        first = [scalar.line + 1, @lines.size - 1].min
        first += 1 while @lines[first]&.match?(/\A[ ]*\r?\n?\z/) && first < @lines.size - 1
        indent = @lines[first][/\A */].length
        last = first
        (first...@lines.size).each do |index|
          blank = @lines[index].strip.empty?
          break unless blank || @lines[index][/\A */].length >= indent

          last = index unless blank
        end
        [@starts[first] + indent, @starts[last] + @lines[last].chomp.bytesize, indent]
      end

      def written(text, style, indent, raw)
        case style
        when :literal
          text
            .split("\n", -1)
            .join("#{line_end}#{" " * indent}")
            .gsub(/[ ]+(?=\r?\n|\z)/) { |space| space.length == indent ? "" : space }
        when :folded
          text.gsub(/\n+/) { |ends| line_end * (ends.length + 1) + (" " * indent) }
        when :single
          text.include?("\n") ? double(text) : "'#{text.gsub("'", "''")}'"
        when :double
          double(text, raw.ascii_only? && raw.match?(/\\[ux]/))
        else
          plain(text)
        end
      end

      def double(text, ascii = false)
        out = ::JSON.generate(text)
        if ascii
          out.gsub(/[^\x00-\x7F]/) do |char|
            char.ord > 0xFFFF ? format("\\U%08X", char.ord) : format("\\u%04X", char.ord)
          end
        else
          out
        end
      end

      # Unquoted as it was where YAML reads it back as the same text.
      def plain(text)
        if !text.match?(/\A[\s?:\-&*!|>'"%@`#,\[\]{}=~<]|: |:\z| #|\s\z|[\n\t,\[\]{}]/) && Yaml.text?(text)
          text
        else
          double(text)
        end
      end

      def comment_above(line)
        notes = []
        line -= 1
        while line >= 0 && (match = @lines[line].match(/\A\s*#\s?(.*)/))
          notes.unshift(match[1].strip)
          line -= 1
        end
        notes.join(" ")
      end

      def find_root(events)
        return unless events.root_keys.size == 1

        key = events.root_keys.first
        return unless Languages.valid?(key.value.tr("_", "-")) && key.value.length < 8

        # Places are told without it: it changes with the language.
        events.scalars.each { |scalar| scalar.path = scalar.path.delete_prefix("#{key.value}.") }
        @root = [offset(key.line, key.column), offset(key.end_line, key.end_column)]
        @free << @root
      end

      def further_edits(_contents, target_language)
        return [] unless target_language && @root

        quote = slice(*@root)[/\A["']/].to_s
        [[*@root, "#{quote}#{target_language}#{quote}"]]
      end

      def add_plurals(events)
        events
          .scalars
          .select { |scalar| scalar.path.match?(/\.(?:zero|one|two|few|many|other)\z/) }
          .group_by { |scalar| scalar.path[/\A(.*)\.\w+\z/, 1] }
          .each do |parent, group|
            other = group.find { |scalar| scalar.path.end_with?(".other") }
            if other.nil? || group.size < 2 || group.any? { |scalar| scalar.flow || scalar.block? } ||
                !other.text?
              next
            end

            last = group.max_by(&:end_line)
            to = offset(last.end_line, last.end_column)
            first = @starts[group.min_by(&:line).line]
            @free << [first, to]
            indent = @lines[other.line][/\A */]
            (
              Plurals.categories(@options["target_language"]) - group.map { |scalar| scalar.path[/\w+\z/] }
            ).each do |category|
              content, raws = Placeholders.read(other.value)
              place(
                "#{parent}.#{category}",
                to,
                to,
                content,
                key: "#{parent}.#{category}",
                note: "plural form “#{category}”",
                extra: true
              ) do |target|
                "#{line_end}#{indent}#{category}: #{double(Placeholders.write(target, raws, &:itself))}"
              end
            end
          end
      end

      # What psych's parser tells, with places.
      class Events < ::Psych::Handler
        TooDeep = Class.new(StandardError)
        Found =
          Struct.new(
            :path,
            :value,
            :plain,
            :quoted,
            :style,
            :line,
            :column,
            :end_line,
            :end_column,
            :flow,
            :tag,
            keyword_init: true
          ) do
            def block? = %i[literal folded].include?(style)

            # Numbers, dates, booleans and the like are no texts.
            def text?
              return false if tag && !tag.end_with?("str")

              quoted || block? || Yaml.text?(value)
            end
          end
        STYLES = { 1 => :plain, 2 => :single, 3 => :double, 4 => :literal, 5 => :folded }.freeze

        attr_reader :scalars, :root_keys

        def initialize
          super
          @stack, @scalars, @root_keys = [], [], []
        end

        def event_location(*place) = @place = place

        def start_mapping(_anchor, _tag, _implicit, style) = push(:mapping, style)
        def start_sequence(_anchor, _tag, _implicit, style) = push(:sequence, style)
        def end_mapping = pop
        def end_sequence = pop
        def alias(_anchor) = step

        def scalar(value, _anchor, tag, plain, quoted, style)
          found =
            Found.new(
              value: value,
              plain: plain,
              quoted: quoted,
              tag: tag,
              style: STYLES[style],
              line: @place[0],
              column: @place[1],
              end_line: @place[2],
              end_column: @place[3],
              flow: @stack.any? { |frame| frame[:flow] }
            )
          frame = @stack.last
          if frame && frame[:kind] == :mapping && frame[:key].nil?
            frame[:key] = value
            @root_keys << found if @stack.size == 1
            return
          end
          found.path = path
          @scalars << found
          step
        end

        private

        def push(kind, style)
          raise TooDeep if @stack.size > MAX_DEPTH

          # A key that is not a plain value.
          @stack.last[:key] = "?" if @stack.last && @stack.last[:kind] == :mapping && @stack.last[:key].nil?
          @stack << { kind: kind, key: nil, index: 0, flow: style == 2 }
        end

        def pop
          @stack.pop
          step
        end

        def step
          frame = @stack.last or return
          if frame[:kind] == :mapping
            frame[:key] = (frame[:key].nil? ? "?" : nil)
          else
            frame[:index] += 1
          end
        end

        def path
          @stack.each_with_object(+"") do |frame, out|
            if frame[:kind] == :mapping
              out << (out.empty? ? frame[:key].to_s : ".#{frame[:key]}")
            else
              out << "[#{frame[:index]}]"
            end
          end
        end
      end
    end
  end
end
