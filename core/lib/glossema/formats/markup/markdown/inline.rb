# The inline markup of one block of Markdown: lines with their prefixes → Content, and back.
require "glossema/formats/markup/markdown/spans"

module Glossema
  module Formats
    class Markdown
      class Inline
        PUNCTUATION = /[!-\/:-@\[-`{-~]/
        LOOKS = { "*" => "italic", "_" => "italic", "**" => "bold", "__" => "bold", "~~" => "strike" }.freeze
        # No text of a link is longer, in bytes.
        LONGEST = 20_000
        # Links stand in pictures and pictures in links, and hardly anything deeper.
        NESTED = 8
        # A text being read: items so far; delimiter runs that may still open emphasis.
        Delimiter = Struct.new(:at, :mark, :count, :opens, :closes)

        attr_reader :content, :originals

        def initialize(_file, lines, labels)
          @lines, @labels, @originals, @keys = lines, labels, {}, 0
          items = Content.new(parse(joined)).well_formed.items.dup
          items[-1] = items.last.rstrip if items.last.is_a?(String)
          @content = Content.new(items).renumber
        end

        # Content → Markdown on one line, but for its line breaks.
        def write(content, block)
          literal, starts, linked = false, true, 0
          out = +""
          items = content.well_formed.items
          items.each_with_index do |item, index|
            if item.is_a?(String)
              out << (
                if literal
                  item.tr("\n", " ")
                else
                  escaped(item.tr("\n", " "), starts, block, items[index + 1].is_a?(Code)).then do |text|
                    linked.zero? ? text : text.gsub(/(?<!\\)[\[\]]/) { |mark| "\\#{mark}" }
                  end
                end
              )
              starts = false
            else
              raw = @originals.fetch(item.key)
              raw = raw[item.close? ? 1 : 0] if raw.is_a?(Array)
              out << raw
              starts = raw.include?("\n")
              literal = item.open? if item.type == "code"
              linked += item.open? ? 1 : -1 if %w[link picture].include?(item.type) && !item.alone?
            end
          end
          out
        end

        private

        # The lines as one text: a line end is a blank, one after two blanks or a backslash a break.
        def joined
          @breaks = {}
          @lines
            .each_with_index
            .map do |line, index|
              last = index == @lines.size - 1
              next line.text.rstrip if last

              hard = line.text[/(?: {2,}|\\)\z/]
              if hard
                @breaks["\u0001#{@breaks.size}\u0002"] = "#{hard}\n#{@lines[index + 1].prefix}"
                "#{line.text.delete_suffix(hard)}#{@breaks.keys.last}"
              else
                "#{line.text.rstrip} "
              end
            end
            .join
        end

        def code(kind, key, type, **more) =
          Code.new(id: 0, kind: kind, key: key, type: type, equiv: "", **more)

        def key = "k#{@keys += 1}"

        def alone(raw, type, display, wrap = raw, equiv: "")
          @originals[name = key] = raw
          Code.new(
            id: 0,
            kind: :alone,
            key: name,
            type: type,
            display: display[0, 40],
            equiv: equiv,
            wrap: wrap
          )
        end

        def pair(opening, closing, type, display, wrap, css, inner)
          @originals[name = key] = [opening, closing]
          open = code(:open, name, type, display: display, wrap: wrap, css: css)
          [open, *inner, open.with(kind: :close)]
        end

        def parse(text)
          scanner, items, delimiters, tags = StringScanner.new(text), [], [], []
          spans = Spans.new(text)
          until scanner.eos?
            if scanner.scan(/\u0001\d+\u0002[ ]*/)
              items << alone(@breaks[scanner.matched.strip], "break", "line break", "\n", equiv: "\n")
            elsif scanner.scan(/\\(#{PUNCTUATION})/o)
              items << scanner[1]
            elsif scanner.scan(/`+/)
              items.concat(ticked(scanner, spans))
            elsif scanner.scan(/<((?:https?|ftp|mailto):[^<>\s]*|[\w.+-]+@[\w.-]+)>/)
              items << alone(scanner.matched, "placeholder", scanner[1])
            elsif scanner.scan(/<!--.*?-->/m)
              items << alone(scanner.matched, "anchor-end", "")
            elsif scanner.check(Placeholders::TAG)
              tag(scanner.scan(Placeholders::TAG), items, tags)
            elsif scanner.check(/!?\[/) && (link = link(scanner, spans))
              items.concat(link)
            elsif scanner.scan(/\{\{[<%].*?[%>]\}\}|\{\{[^{}\n]+\}\}|\{%.*?%\}|\$\{[^{}\n]+\}/)
              items << alone(scanner.matched, "placeholder", scanner.matched)
            elsif scanner.scan(/\*+|_+|~~(?!~)/)
              delimiter(scanner, text, items, delimiters)
            elsif scanner.scan(/&(?:#\d{1,7}|#[xX]\h{1,6}|[A-Za-z][A-Za-z0-9]*);/)
              items << Markup.decode(scanner.matched, true)
            else
              items << scanner.scan(/[^\\`<!\[{*_~&$\u0001]+|./m)
            end
          end
          emphasise(items, delimiters)
        end

        # A run of backticks: with what it encloses, or by itself.
        def ticked(scanner, spans)
          run, from = scanner.matched, scanner.pos
          to = spans.ticks(run.length, from)
          return [run] unless to && to > from

          scanner.pos = to + run.length
          code_span(run, scanner.string.byteslice(from, to - from))
        end

        def code_span(mark, text)
          inner = text.match?(/\A [^ ].* \z|\A `/m) ? text[1..-2] : text
          pad = inner == text ? "" : " "
          pair(mark + pad, pad + mark, "code", "code", "code", "mono", [inner.gsub(/\u0001\d+\u0002/, " ")])
        end

        def tag(raw, items, tags)
          name = raw[%r{\A</?([\w:.-]+)}, 1].downcase
          if raw.start_with?("</")
            at = tags.rindex { |open, _, _| open == name }
            return items << alone(raw, "markup", raw) unless at

            _, index, opening = tags.slice!(at..).first
            return items << alone(raw, "markup", raw) if index == items.size - 1

            @originals[items[index].key] = [opening, raw]
            items[index] = items[index].with(kind: :open)
            return items << items[index].with(kind: :close)
          end
          line = name == "br"
          items << alone(
            raw,
            line ? "break" : "markup",
            line ? "line break" : (Html5::LOOKS[name] || name),
            equiv: line ? "\n" : ""
          ).with(css: Html5::LOOKS[name].to_s)
          tags << [name, items.size - 1, raw] unless raw.end_with?("/>") || Html5::VOID[name]
        end

        # [text](address "title"), [text][label], [label], pictures alike, and [^note].
        def link(scanner, spans)
          return if @nested.to_i >= NESTED

          from = scanner.pos
          picture = scanner.skip(/!/)
          if !picture && scanner.scan(/\[\^[^\]\s]+\]/)
            return [alone(scanner.matched, "footnote-mark", "note")]
          end

          scanner.skip(/\[/)
          inner = brackets(scanner, spans)
          if inner &&
              scanner.scan(
                /\(\s*(?:<[^<>\n]*>|(?:[^\s()\\]|\\.|\((?:[^\s()\\]|\\.)*\))*)(?:\s+(?:"(?:[^"\\]|\\.)*"|'(?:[^'\\]|\\.)*'|\((?:[^()\\]|\\.)*\)))?\s*\)(?:\{[^}\n]*\})?/m
              )
            return linked(picture, inner, "]#{scanner.matched}", scanner.matched)
          end

          if inner && scanner.scan(/\[([^\]\n]*)\]/)
            label = scanner[1].empty? ? inner : scanner[1]
            return linked(picture, inner, "][#{label}]", "ref:#{label.downcase}") if known?(label)
          elsif inner && known?(inner)
            return linked(picture, inner, "][#{inner}]", "ref:#{inner.downcase}")
          end
          scanner.pos = from
          nil
        end

        # A label has 999 characters at most.
        def known?(label) = label.length < 1000 && @labels.include?(label.downcase.gsub(/\s+/, " "))

        def linked(picture, inner, closing, wrap)
          if inner.empty?
            return (
              alone(
                "#{"!" if picture}[#{closing}",
                picture ? "markup" : "placeholder",
                picture ? "picture" : "link"
              ).then { |code| [code] }
            )
          end

          return pair("![", closing, "picture", "picture", wrap, "", deeper(inner)) if picture

          pair("[", closing, "link", "link", wrap, "link", deeper(inner))
        end

        def deeper(text)
          @nested = @nested.to_i + 1
          parse(text)
        ensure
          @nested -= 1
        end

        # The text up to the bracket that closes the one just read; nil, with nothing read, when there is
        # none.
        def brackets(scanner, spans)
          from = scanner.pos
          to = spans.closing(from) or return
          return if to - from > LONGEST

          scanner.pos = to + 1
          scanner.string.byteslice(from, to - from)
        end

        # A run of marks can open or close emphasis by what stands around it.
        def delimiter(scanner, text, items, delimiters)
          run = scanner.matched
          before = text.byteslice(0, scanner.pos - run.bytesize)[-1] || " "
          after = scanner.rest[0] || " "
          space = ->(char) { char.match?(/[[:space:]\u0001\u0002]/) }
          mark = ->(char) { char.match?(/[[:punct:]\p{S}]/) }
          left = !space[after] && (!mark[after] || space[before] || mark[before])
          right = !space[before] && (!mark[before] || space[after] || mark[after])
          opens = run.start_with?("_") ? left && (!right || mark[before]) : left
          closes = run.start_with?("_") ? right && (!left || mark[after]) : right
          items << run
          delimiters << Delimiter.new(items.size - 1, run[0], run.length, opens, closes)
        end

        # Pairs the marks, innermost first.
        def emphasise(items, delimiters)
          opening, closing =
            Hash.new { |hash, index| hash[index] = [] },
            Hash.new { |hash, index| hash[index] = [] }
          # Below which nothing opens any more for marks of a kind.
          bottoms = Hash.new(0)
          delimiters.each_with_index do |close, index|
            next unless close.closes

            while close.count.positive?
              kind = [close.mark, close.count % 3, close.opens]
              at = (index - 1).downto(bottoms[kind]).find { |i| pair?(delimiters[i], close) }
              break bottoms[kind] = index unless at

              open = delimiters[at]
              size =
                (
                  if close.mark == "~"
                    [open.count, close.count].min
                  else
                    (open.count >= 2 && close.count >= 2 ? 2 : 1)
                  end
                )
              delimiters[(at + 1)...index].each { |between| between.opens = false }
              open.count -= size
              close.count -= size
              mark = close.mark * size
              @originals[name = key] = [mark, mark]
              code = code(:open, name, "format", display: LOOKS[mark], wrap: mark, css: LOOKS[mark])
              opening[open.at].unshift(code)
              closing[close.at] << code.with(kind: :close)
            end
          end
          rest = delimiters.to_h { |one| [one.at, one.mark * one.count] }
          items.each_with_index.flat_map do |item, index|
            rest.key?(index) ? [*closing[index], rest[index], *opening[index]] : [item]
          end
        end

        # Does one run of marks open what another closes?
        def pair?(open, close)
          return false unless open.opens && open.count.positive? && open.mark == close.mark

          !((open.closes || close.opens) && ((open.count + close.count) % 3).zero? &&
            (open.count % 3 != 0 || close.count % 3 != 0))
        end

        # Characters that would be markup are escaped, and only these.
        def escaped(text, starts, block, code_follows)
          out = text.gsub("\\") { "\\\\" }.gsub(/[*`]/) { |char| "\\#{char}" }
          out = out.gsub(/(?<![\p{L}\p{N}])_|_(?![\p{L}\p{N}])/) { "\\_" }
          out =
            out
              .gsub(%r{<(?=[A-Za-z/!?])}, "\\<")
              .gsub(/&(?=#?\w+;)/, "\\\\&")
              .gsub(/~~/, "\\~\\~")
              .gsub(/\]\(/, "\\](")
              .gsub(/\[(?=\^)/, "\\[")
          out =
            out.gsub(/\[([^\[\]]*)\]/) do
              known?(Regexp.last_match(1)) ? "\\[#{Regexp.last_match(1)}\\]" : Regexp.last_match(0)
            end
          out = out.gsub("|", "\\|") if block == "cell"
          out = out.sub(/(?<![^\s])(\#+\s*)\z/) { |marks| "\\#{marks}" } if block.start_with?("heading")
          out = out.sub(/!\z/, "\\!") if code_follows
          out = out.gsub(/\{(?=[{%])/, "\\{").gsub(/\$(?=\{)/, "\\$")
          return out unless starts

          out
            .sub(/\A\s*(?:[-+>:]|\#{1,6}|>)(?=\s|\z)|\A\s*>/) { |mark| "\\#{mark}" }
            .sub(/\A(\d{1,9})([.)])(?=\s|\z)/) { "#{Regexp.last_match(1)}\\#{Regexp.last_match(2)}" }
            .sub(/\A=+\z/) { |mark| "\\#{mark}" }
        end
      end
    end
  end
end
