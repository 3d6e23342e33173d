# Markdown: headings, paragraphs, list items, quotes, table cells, notes; front matter as YAML, blocks of HTML
# as HTML. Emphasis, links, pictures and inline code are codes around their text; code blocks, addresses and
# link definitions stay.
module Glossema
  module Formats
    class Markdown < TextFile
      Formats.announce(self, rank: 80)

      NAME = "Markdown".freeze
      EXTENSIONS = %w[md markdown mdown mkd mdx rmd].freeze
      MEDIA_TYPE = "text/markdown".freeze
      DEFAULTS = { "front_matter" => true, "encoding" => "" }.freeze
      FENCE = /\A\s{0,3}(`{3,}|~{3,})(.*)\z/m
      MARKER = /\A([ \t]*)((?:[-+*]|\d{1,9}[.)])(?:[ \t]+(?:\[[ xX]\][ \t]+)?|(?=\r?\n|\z)))/
      QUOTE = /\A[ ]{0,3}>[ ]?/
      RULE = /\A[ ]{0,3}(?:(?:\*[ \t]*){3,}|(?:-[ \t]*){3,}|(?:_[ \t]*){3,})\s*\z/
      DEFINITION = /\A[ ]{0,3}\[(?!\^)[^\]\n]+\]:\s*\S/
      NOTE = /\A[ ]{0,3}\[\^[^\]\s]+\]:[ \t]*/
      HTML_START =
        %r{\A[ ]{0,3}<(?:(?:/?(?:#{
          (
            Markup::BLOCKS +
              %w[
                html head body link meta title td th tr thead tbody tfoot li dt dd summary iframe source
                track
              ]
          ).join("|")
        }|script|style|textarea)(?=[\s/>]|\z))|!--|\?|![A-Z])}i
      TABLE_RULE = /\A[ \t]*\|?[ \t]*:?-+:?[ \t]*(?:\|[ \t]*:?-+:?[ \t]*)*\|?\s*\z/
      # Lists begin in lists on one line so often at most.
      NESTED = 50
      # A line of a block: where it starts and ends in the text without its prefix and line end.
      Line = Struct.new(:from, :to, :text, :prefix)

      def self.recognises?(bytes, name) = EncodedText.text?(bytes) && ending?(name)

      def preview
        inner = @embedded.to_h { |from, *rest| [from, rest] }
        page =
          @places.map { |place| [place.from, place.unit] } +
          inner.flat_map do |from, (_, file, prefix)|
            file.units.map { |unit| [from, units.find { |one| one.id == "#{prefix}#{unit.id}" }] }
          end
        page
          .sort_by
          .with_index { |(from, _), index| [from, index] }
          .map(&:last)
          .chunk_while do |one, other|
            one.block == "cell" && other.block == "cell" &&
              one.location.values_at("number", "row") == other.location.values_at("number", "row")
          end
          .map do |group|
            if group.first.block == "cell"
              next "<table><tr>#{group.map { |unit| "<td>#{yield unit}</td>" }.join}</tr></table>"
            end

            group.map { |unit| page_unit(yield(unit), unit) }.join
          end
          .join("\n")
      end

      private

      def page_unit(html, unit)
        case unit.block
        when /\Aheading-(\d)/
          "<h#{Regexp.last_match(1)}>#{html}</h#{Regexp.last_match(1)}>"
        when "list-item"
          "<p class=\"item\" style=\"--level:0\" data-mark=\"•\">#{html}</p>"
        else
          "<p>#{html}</p>"
        end
      end

      def scan
        @count, @tables, @fence, @originals, @nesting = 0, 0, nil, {}, 0
        @labels =
          @text.scan(/^[ >]{0,6}\[(?!\^)([^\]\n]+)\]:\s*\S/).map { |(label)| label.downcase.gsub(/\s+/, " ") }
        start = front_matter
        @block, @kind, @indent, @blank = [], nil, 0, true
        at = start
        lines =
          @text
            .byteslice(start..)
            .split(/(?<=\n)|(?<=\r)(?!\n)/)
            .map { |line| [at, at += line.bytesize].then { |from, to| [from, to, line] } }
        index = 0
        index += take(lines, index) while index < lines.size
        flush
      end

      def front_matter
        match = @text.match(/\A---[ \t]*\r?\n(.*?)^(?:---|\.\.\.)[ \t]*(?:\r?\n|\z)/m) or return 0
        from = match.pre_match.bytesize + match[0].index(/\n/) + 1
        if @options["front_matter"] && !match[1].strip.empty?
          embed(from, from + match[1].bytesize, Yaml, "front:", { "plurals" => false })
        end
        match[0].bytesize
      end

      # Takes the line at `index` and those that go with it; answers how many.
      def take(lines, index)
        from, to, raw = lines[index]
        prefix = +""
        rest = raw
        while (match = rest.match(QUOTE)) && @fence.nil?
          prefix << match[0]
          rest = rest[match[0].length..]
        end
        return fence_line(rest) if @fence
        return blank_line if rest.strip.empty?

        if (match = rest.match(FENCE)) && !(match[1].start_with?("`") && match[2].include?("`"))
          flush
          @fence = match[1]
          return 1
        end
        indent = rest[/\A[ \t]*/].gsub("\t", "    ").length
        # Text set in by four blanks after an empty line is code, unless a list holds it.
        if @block.empty? && @blank && indent >= @indent + 4 && !rest.match?(MARKER) &&
            !@kind.to_s.start_with?("list")
          return 1
        end

        start_block(lines, index, from, to, rest, prefix, indent)
      end

      def fence_line(rest)
        @fence = nil if rest.strip.match?(/\A#{Regexp.escape(@fence[0])}{#{@fence.length},}\z/)
        @blank = true
        1
      end

      def blank_line
        flush
        @blank = true
        1
      end

      def start_block(lines, index, from, to, rest, prefix, indent)
        lead = from + prefix.bytesize
        @indent, @kind = 0, nil if @blank && indent.zero? && !rest.match?(MARKER)
        if rest.match?(RULE) && !(@block.any? && rest.match?(/\A[ ]{0,3}-+\s*\z/))
          flush
        elsif @block.any? && @kind == "paragraph" && (level = rest[/\A[ ]{0,3}(=+|-+)\s*\z/, 1])
          flush("heading-#{level.start_with?("=") ? 1 : 2}")
        elsif (
          match =
            rest.match(
              /\A([ ]{0,3}\#{1,6})([ \t]+|(?=\s*\z))(.*?)(?:[ \t]+\#+)?([ \t]*\{[#.][^}]*\})?\s*\z/m
            )
        )
          flush
          begins = lead + match[1].bytesize + match[2].bytesize
          @block = [Line.new(begins, begins + match[3].bytesize, match[3], "")]
          flush("heading-#{match[1].strip.length}")
        elsif rest.match?(HTML_START) && @block.empty?
          return html_block(lines, index, from, prefix)
        elsif @block.empty? && rest.match?(DEFINITION) ||
            rest.match?(/\A\s{0,3}(?::{3,}|\$\$|import\s.+from\s|export\s+(?:default|const)\s)/)
          flush
        elsif lines[index + 1] && rest.include?("|") && @block.empty? &&
            lines[index + 1][2]
                .sub(/\A#{QUOTE}*/o, "")
                .then do |below|
                  below.include?("-") && below.match?(TABLE_RULE) &&
                      cells_of(below).size == cells_of(rest).size
                end
          return table(lines, index)
        elsif (match = rest.match(MARKER)) &&
            (@block.empty? || @kind == "list-item" || !match[2].match?(/\A(?!1[.)])\d/))
          flush
          @kind, @indent = "list-item", indent + match[2].length
          inner = match[0].length
          # A list in a list, a quote or a heading right behind the mark.
          if @nesting < NESTED && rest[inner..].match?(/\A(?:#{MARKER}|#{QUOTE}|\#{1,6}[ \t]|`{3,}|~{3,})/)
            return nested(lines, index, from, to, rest, prefix, inner)
          end

          add(lead + rest[0...inner].bytesize, to, rest[inner..], prefix + (" " * inner))
        elsif (match = rest.match(NOTE) || rest.match(/\A[ ]{0,3}:[ \t]+/))
          flush
          @kind = "note"
          add(lead + match[0].bytesize, to, rest[match[0].length..], "#{prefix}    ")
        else
          @kind ||= "paragraph" if @block.empty?
          @kind = "paragraph" if @block.empty? && indent < 2
          white = rest[/\A[ \t]*/]
          add(lead + white.bytesize, to, rest[white.length..], @block.empty? ? prefix + white : nil)
        end
        @blank = false
        1
      end

      def nested(lines, index, from, to, rest, prefix, inner)
        lines[index] = [from + prefix.bytesize + rest[0...inner].bytesize, to, rest[inner..]]
        @blank = true
        @nesting += 1
        take(lines, index)
      ensure
        @nesting -= 1
      end

      def add(from, to, text, prefix)
        stripped = text.sub(/\r?\n\z|\r\z/, "")
        @block << Line.new(
          from,
          to - (text.bytesize - stripped.bytesize),
          stripped,
          prefix || @block.last.prefix
        )
      end

      # HTML goes on to an empty line, comments and scripts to their end.
      def html_block(lines, index, from, prefix)
        flush
        first = lines[index][2][prefix.length..]
        ending =
          if first.match?(/\A\s*<!--/)
            /-->/
          elsif (name = first[/\A\s*<(script|style|pre|textarea)\b/i, 1])
            %r{</#{name}>}i
          end
        count = 0
        loop do
          line = lines[index + count] or break
          break if ending.nil? && line[2].strip.empty?

          count += 1
          break if ending && line[2].match?(ending)
        end
        to = lines[index + count - 1][1]
        # Quoted HTML would be torn from its marks.
        prefix.empty? ? embed(from, to, Html5, "html#{@count += 1}:", { "attributes" => true }) : nil
        @blank = true
        count
      end

      def table(lines, index)
        number = @tables += 1
        count = 0
        while (from, _, raw = lines[index + count]) && raw.strip != "" && raw.include?("|")
          offset = raw[/\A(?:#{QUOTE})*/o].bytesize
          unless count == 1
            cells_of(raw.byteslice(offset..)).each_with_index do |(start, finish), column|
              line =
                Line.new(
                  from + offset + start,
                  from + offset + finish,
                  slice(from + offset + start, from + offset + finish),
                  ""
                )
              place = { number: number, row: count.zero? ? 1 : count, column: column + 1 }
              unit([line], "cell", Location.new("table", **place))
            end
          end
          count += 1
        end
        @blank = true
        count
      end

      # Byte ranges of the cells of a row, without the blanks around them.
      def cells_of(row)
        scanner, list = StringScanner.new(row.rstrip), []
        scanner.skip(/\s*\|/)
        until scanner.eos?
          from = scanner.pos
          scanner.skip(/(?:\\.|`[^`]*`|[^|\\])*/m)
          raw = row.byteslice(from, scanner.pos - from)
          list << [from + raw[/\A\s*/].bytesize, from + raw.rstrip.bytesize].then do |start, finish|
            [start, [finish, start].max]
          end
          scanner.skip(/\|/) || scanner.getch
        end
        list
      end

      def flush(block = nil)
        lines, @block = @block, []
        lines.shift while lines.any? && lines.first.text.strip.empty?
        return if lines.empty?

        unit(lines, block || @kind || "paragraph")
      end

      def unit(lines, block, location = nil)
        from, to = lines.first.from, lines.last.to
        to -= lines.last.text[/(?<![ \t])[ \t]*\z/].bytesize
        return if to <= from

        inline = Inline.new(self, lines, @labels)
        content = inline.content
        return unless content.text.match?(/\p{L}|\p{N}/)

        @originals.merge!(inline.originals)
        id = "#{block == "cell" ? "c" : "m"}#{@count += 1}"
        place(
          id,
          from,
          to,
          content,
          block: block == "note" ? "note" : block,
          location: location || Location.block(block)
        ) { |target| inline.write(target, block) }
      end
    end
  end
end

require "glossema/formats/markup/markdown/inline"
