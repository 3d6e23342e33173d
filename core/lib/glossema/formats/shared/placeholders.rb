# Texts of software: placeholders and markup inside a string become codes, the rest is text.
module Glossema
  module Formats
    module Placeholders
      TAG = %r{</?[A-Za-z][\w:.-]*(?:\s+[\w:.-]+(?:\s*=\s*(?:"[^"<>]*"|'[^'<>]*'|[^\s"'<>=]+))?)*\s*/?>}
      # Conversions as in C, Python, Ruby, Objective-C and Qt; names in braces of one, two or three kinds;
      # shell-like names.
      PRINTF =
        /%(?:\d+\$)?[-+#0']{0,3}(?:\d+|\*)?(?:\.(?:\d+|\*))?(?:hh?|ll?|[Lqjzt])?[diouxXeEfFgGaAcCsSpn@](?![A-Za-z])|%\([A-Za-z_]\w*\)[-+#0]?\d*(?:\.\d+)?[diouxXeEfFgGcrsa]|%%|%L?[1-9]\d?(?![\d%])/
      BRACES =
        /\{\{\{?[^{}\n]{1,80}\}?\}\}|\$\{[^{}\n]{1,80}\}|#\{[^{}\n]{1,80}\}|%\{\w[\w.]{0,60}\}|\{\}|\{[A-Za-z_0-9][\w.$\[\]-]{0,60}(?:[,:!][^{}'|\n]{0,40})?\}/
      NESTED = /\$t\([^()\n]+\)/
      ALL = /#{NESTED}|#{BRACES}|#{PRINTF}|#{TAG}/
      # In branches of a plural the number is written as #.
      COUNTED = /#{ALL}|#/
      LOOKS = {
        "b" => "bold",
        "strong" => "bold",
        "i" => "italic",
        "em" => "italic",
        "u" => "underline",
        "s" => "strike",
        "a" => "link",
        "sup" => "super",
        "sub" => "sub",
        "code" => "mono",
        "tt" => "mono"
      }.freeze

      module_function

      # string → [Content, raws]; raws: {key => original text, or [opening, closing] of a pair}.
      # pattern: what becomes a code besides markup.
      def read(string, pattern = ALL)
        raws, items, open = {}, [], []
        rest = Offsets.parts(string, pattern) do |before, raw|
          items << before
          items << code_of(raw, open, items, raws)
        end
        items << rest
        open.each { |index, raw| items[index] = alone(raw, raws) }
        [Content.new(items).renumber, raws]
      end

      # Content → string; the block encodes what is text.
      def write(content, raws)
        content
          .well_formed
          .items
          .map do |item|
            if item.is_a?(String)
              yield(item)
            else
              raw = raws.fetch(item.key)
              side(raw, item)
            end
          end
          .join
      end

      # A translation that is already there, read so that its codes are those of the source with the same
      # original text; what the source lacks stays text.
      def read_target(string, source, raws, pattern = ALL)
        content, own = read(string, pattern)
        waiting = source.codes.reject(&:close?).group_by { |code| raws.fetch(code.key) }
        taken = {}
        items =
          content.items.map do |item|
            next item if item.is_a?(String)

            raw = own.fetch(item.key)
            code = item.close? ? taken[item.key] : (taken[item.key] = waiting[raw]&.shift)
            code ? code.with(kind: item.kind) : side(raw, item)
          end
        Content.new(items)
      end

      def code_of(raw, open, items, raws)
        return alone(raw, raws) unless raw.match?(/\A#{TAG}\z/o) && !raw.end_with?("/>")

        name = raw[%r{\A</?([\w:-]+)}, 1].downcase
        unless raw.start_with?("</")
          return alone(raw, raws) if Html5::VOID.include?(name)

          open << [items.size, raw, name]
          return Code.new(id: 0, kind: :open, key: "p#{raws.size}-#{items.size}")
        end
        at = open.rindex { |_, _, tag| tag == name } or return alone(raw, raws)
        open[(at + 1)..].each { |index, text| items[index] = alone(text, raws) }
        index, text, = open.slice!(at..).first
        key = "p#{raws.size + 1}"
        raws[key] = [text, raw]
        items[index] = Code.new(
          id: 0,
          kind: :open,
          key: key,
          type: LOOKS[name] == "link" ? "link" : "markup",
          display: LOOKS[name] || name,
          equiv: "",
          wrap: text,
          css: LOOKS[name].to_s
        )
        items[index].with(kind: :close)
      end
      private_class_method :code_of

      # Of a pair the original of one side.
      def side(raw, item)
        return raw unless raw.is_a?(Array)

        item.close? ? raw.last : raw.first
      end
      private_class_method :side

      def type_of(raw) = raw.match?(/\A(?:<|&(?![PNDTFA]\z))/) ? "markup" : "placeholder"
      private_class_method :type_of

      def alone(raw, raws)
        key = "o#{raws.size + 1}"
        raws[key] = raw
        line = raw.match?(%r{\A<br\s*/?>\z}i)
        Code.new(
          id: 0,
          kind: :alone,
          key: key,
          type: line ? "break" : type_of(raw),
          display: line ? "line break" : raw[0, 40],
          equiv: line ? "\n" : { "%%" => "%" }.fetch(raw, ""),
          wrap: raw
        )
      end
      private_class_method :alone
    end
  end
end
