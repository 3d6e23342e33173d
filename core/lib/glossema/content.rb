# The content of a segment or unit: text runs and inline codes, in order.
module Glossema
  # An inline code. `id` counts from 1 within its content; an opening and its closing code share it.
  #   kind     :open, :close or :alone
  #   key      names the original markup in the document it came from; the same for both codes of a pair
  #   type     a word for what it stands for ("bold", "link", "break", "field", …)
  #   display  what a reader is shown of it ("bold", "page number")
  #   equiv    the text it stands for ("\n" for a line break), empty for most
  #   style    the look of the text inside, canonical; replaces the look around it. nil when it does not
  #            change it
  #   wrap     identity of a container such as a link, nil for pure looks
  #   css      how a preview shows it: words out of bold italic underline strike super sub caps smallcaps mono
  #            link
  Code =
    Struct.new(:id, :kind, :key, :type, :display, :equiv, :style, :wrap, :css, keyword_init: true) do
      def open? = kind == :open
      def close? = kind == :close
      def alone? = kind == :alone

      # What tells a code that stands alone from others to a reader: its type and what it refers to. A tab and
      # a line break are the text they stand for.
      def fingerprint
        ["tab", "line break"].include?(display) ? equiv : "\u0000#{type}:#{wrap || display}"
      end

      # An invisible mark (a bookmark, a comment's range): kept at the edge of a segment, never inside it.
      def anchor? = type.to_s.start_with?("anchor")

      # The written form: {1}, {/1} or {1/}.
      def written
        { open: "{#{id}}", close: "{/#{id}}", alone: "{#{id}/}" }.fetch(kind)
      end

      def with(**changes) = dup.tap { |copy| changes.each { |name, value| copy[name] = value } }
    end

  # An immutable sequence of text runs (String) and codes.
  class Content
    WRITTEN = %r{\\(.)|\{(\d+)\}|\{/(\d+)\}|\{(\d+)/\}}m
    attr_reader :items

    # items: array of String and Code. Empty strings are dropped, neighbouring strings joined.
    def initialize(items = [])
      @items = strings_joined(items).freeze
      freeze
    end

    # Reads the written form. `codes` is the content (or list of codes) whose numbers may be used.
    # Raises Refused "code-unknown" for a number or kind that is not among them.
    def self.parse(written, codes = [])
      table = code_table(codes)
      items = []
      rest = Offsets.parts(written, WRITTEN) do |before, mark|
        items << before << (mark.start_with?("\\") ? mark[1..] : table[numbered(mark)])
        raise Refused.new("code-unknown.segment", written: mark) unless items.last
      end
      new(items << rest)
    end

    # [number, kind] of a code in written form.
    def self.numbered(mark)
      [mark[/\d+/].to_i, kind_of(!mark.match?(%r{\A\{/|/\}\z}), mark.start_with?("{/"))]
    end

    # {[number, kind] => code} of a content or list of codes.
    def self.code_table(codes)
      list = codes.is_a?(Content) ? codes.codes : codes
      list.each_with_object({}) do |code, table|
        table[[code.id, code.kind]] ||= code
        table[[code.id, :close]] ||= code.with(kind: :close) if code.open?
      end
    end

    # A content of bare codes read from a written form alone, for comparing texts without their document.
    def self.from_written(written)
      return text(written) unless written.match?(/[{\\]/)

      found =
        written
          .gsub(/\\./m, "")
          .scan(%r{\{(/?)(\d+)(/?)\}})
          .map do |slash, id, single|
            Code.new(
              id: id.to_i,
              kind: Content.kind_of(slash != "/" && single != "/", slash == "/"),
              key: id,
              type: "code",
              equiv: ""
            )
          end
      parse(written, found)
    end

    def self.text(string) = new([string])

    def codes = items.grep(Code)
    def coded? = items.any?(Code)

    # The text, codes replaced by the text they stand for.
    def text = items.map { |item| item.is_a?(String) ? item : item.equiv.to_s }.join

    # What a code in written form is, by which of its marks are there.
    def self.kind_of(open, close)
      return :open if open

      close ? :close : :alone
    end

    # The text with codes written {1} … {/1} and {2/}; a literal brace or backslash is escaped.
    def written
      items.map { |item| item.is_a?(String) ? Content.escape(item) : item.written }.join
    end
    alias to_s written

    # The text of a written form, codes left out.
    def self.plain(written) =
      written.match?(/[{\\]/) ? written.gsub(WRITTEN) { Regexp.last_match(1).to_s } : written

    def self.escape(text) = text.gsub(/[{\\]/) { |char| "\\#{char}" }

    # The same text with only those codes that `source` has, for taking a match over.
    def fitted(source)
      known = Content.code_table(source)
      Content.new(
        items.filter_map { |item| item.is_a?(String) ? item : known[[item.id, item.kind]] }
      ).well_formed
    end

    # The same content with the codes as `source` has them now: those kept with a translation may know less of
    # themselves.
    def with_codes_of(source)
      return self unless coded?

      known = source.codes.to_h { |code| [[code.key, code.kind], code] }
      Content.new(items.map { |item|
        item.is_a?(String) ? item : (known[[item.key, item.kind]]&.with(id: item.id) || item)
      })
    end

    # What no document can hold: control characters, and code points that stand for no character.
    UNHOLDABLE = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/
    # Such characters as XML names them.
    REFERENCE = /&#(?:x0*(?:[0-8bcef]|1\h|fff[ef])|0*(?:[0-8]|1[124-9]|2\d|3[01]));/i

    def self.holdable(text) = text.match?(UNHOLDABLE) ? text.gsub(UNHOLDABLE, "") : text

    # XML without the characters that no XML may hold, however they are written.
    def self.well_formed_xml(xml) = holdable(xml).gsub(REFERENCE, "")

    # The same content without what no document can hold.
    def holdable
      return self unless items.any? { |item| item.is_a?(String) && item.match?(UNHOLDABLE) }

      Content.new(items.map { |item| item.is_a?(String) ? Content.holdable(item) : item })
    end

    # How many codes: a pair counts as one.
    def code_count = codes.count { |code| !code.close? }

    def empty? = items.empty?
    def blank? = text.match?(/\A[[:space:]]*\z/)

    def ==(other) =
      equal?(other) || (other.is_a?(Content) && items.size == other.items.size && written == other.written)
    alias eql? ==
    def hash = written.hash

    def +(other) = Content.new(items + other.items)

    # The same content with codes numbered from 1 in order of appearance.
    def renumber
      return self unless coded?

      numbers = {}
      Content.new(
        items.map do |item|
          if item.is_a?(String)
            item
          else
            item.with(id: numbers[item.kind == :alone ? [item.key, item.id] : item.key] ||= numbers.size + 1)
          end
        end
      )
    end

    # Codes made well formed: a closing code without its opening one is dropped, an opening one never closed
    # is closed at the end, crossing pairs are nested, empty pairs dropped, and two neighbouring stretches of
    # the same pair joined.
    def well_formed
      return self unless coded?

      stack, out = [], []
      items.each do |item|
        next out << item if item.is_a?(String) || item.alone?
        next(stack << item && out << item) if item.open?
        next unless (at = stack.rindex { |open| open.key == item.key })

        inner = stack.slice!(at..)
        inner.reverse_each { |open| out << open.with(kind: :close) }
        reopened = inner.drop(1)
        stack.concat(reopened)
        out.concat(reopened)
      end
      stack.reverse_each { |open| out << open.with(kind: :close) }
      Content.new(joined(out))
    end

    # Looks that show on white space too; others do not tell a blank in them from one beside them.
    SHOWS_ON_SPACE = /(?:\A|\|)(?:u|strike|dstrike|highlight|shd|bdr):/

    # What a reader would see, for comparing two contents whose codes were made independently: a list of
    # [text or code fingerprint, look, containers]. `base` is the look outside every code.
    def flat(base = nil)
      stack, out = [], []
      items.each do |item|
        if item.is_a?(String)
          look = stack.reverse.find(&:style)&.style || base
          wraps = stack.filter_map(&:wrap)
          item.split(/([\t\n]|[[:space:]]+)/).each { |piece| lay(out, piece, look, wraps) }
        elsif item.alone?
          out << [item.fingerprint, nil, stack.filter_map(&:wrap)] unless item.anchor?
        else
          if item.open?
            stack.push(item)
          else
            stack.slice!((stack.rindex { |open| open.key == item.key } || stack.size)..)
          end
        end
      end
      out
    end

    # The same to a reader as another content? Like comparing flat lists, and soon done where the two are
    # alike item by item.
    def shows_as?(other, base = nil, other_base = nil)
      if base == other_base && items.size == other.items.size &&
          items.zip(other.items).all? { |one, two| alike?(one, two) }
        return true
      end

      flat(base) == other.flat(other_base)
    end

    # Plain values for storing the codes of a content: a list of hashes, one for each code that is not a
    # closing one.
    def code_hashes
      codes.reject(&:close?).map { |code| code.to_h.compact }
    end

    # The codes back from code_hashes (string or symbol keys).
    def self.codes_from(hashes)
      hashes.map do |hash|
        values = hash.transform_keys(&:to_sym)
        Code.new(**values, kind: values[:kind].to_sym)
      end
    end

    private

    def alike?(one, two)
      return one == two if one.is_a?(String) || two.is_a?(String)

      one.kind == two.kind && one.style == two.style && one.wrap == two.wrap &&
        (!one.alone? || one.fingerprint == two.fingerprint)
    end

    # Adds a word or blank to the flat list, joined to the last where it shows the same.
    def lay(out, piece, look, wraps)
      return if piece.empty?
      # A tab and a line break stand alone, whether as codes or as text.
      return out << [piece, nil, wraps] if ["\t", "\n"].include?(piece)

      look = nil if piece.match?(/\A[[:space:]]/) && !look.to_s.match?(SHOWS_ON_SPACE)
      last = out.last
      return last[0] << piece if last && !last[0].match?(/\A(?:\u0000|[\t\n]\z)/) && last[1..] == [look,
                                                                                                   wraps]

      out << [piece.dup, look, wraps]
    end

    # own: the last string, where it is ours to append to.
    def strings_joined(items)
      own = nil
      items.each_with_object([]) do |item, list|
        next if item == ""

        if item.is_a?(String) && list.last.is_a?(String)
          own ? own << item : list[-1] = own = list.last + item
        else
          own = nil
          list << item
        end
      end
    end

    # Empty pairs go, and a pair that closes and opens again at once is one; invisible marks between do not
    # count.
    def joined(list)
      list.each_with_object([]) do |item, out|
        next out << item if item.is_a?(String) || item.alone?

        at = out.rindex { |one| !one.is_a?(Code) || !one.anchor? }
        last = at && out[at]
        if last.is_a?(Code) && last.key == item.key &&
            ((last.open? && item.close?) || (last.close? && item.open?))
          out.delete_at(at)
        else
          out << item
        end
      end
    end
  end
end
