# Codes as markup that a service can carry along: <g id="1">…</g> for a pair, <x id="2"/> for one that stands
# alone, <x id="3o"/> and <x id="3c"/> for the two of a pair that does not nest; and back, whatever the
# service made of it.
module Glossema
  module Machine
    module Markup
      TAG = %r{<g id="(\d+)">|(</g>)|<x id="(\d+)(o|c)?"/>}
      HALVES = { "o" => :open, "c" => :close }.freeze
      ENTITIES = { "&" => "&amp;", "<" => "&lt;", ">" => "&gt;" }.freeze
      ENTITY = /&(?:#(\d{1,7})|#x(\h{1,6})|(amp|lt|gt|quot|apos|nbsp));/i
      LETTERS = {
        "amp" => "&", "lt" => "<", "gt" => ">", "quot" => '"', "apos" => "'", "nbsp" => "\u00A0"
      }.freeze
      # What was read: content; lost: written codes that did not come back and were put where they stand in
      # the source.
      Answer = Struct.new(:content, :lost)

      module_function

      # Content → text with markup.
      def from_content(content)
        nested = nested_pairs(content)
        content.items.map { |item| item.is_a?(String) ? escape(item) : tag(item, nested) }.join
      end

      # text: of the service; source: Content whose codes it may use, each once. Codes it invented are left
      # out; those it lost are put in by the share of the words before them. Returns an Answer.
      def read(text, source)
        found = Reader.new(source).content(text)
        lost = source.codes.map(&:written) - found.codes.map(&:written)
        Answer.new(Placing.new(source).with(found, lost), lost)
      end

      def escape(text) = text.gsub(/[&<>]/, ENTITIES)

      def unescape(text)
        text.gsub(ENTITY) do |entity|
          decimal, hexadecimal, name = Regexp.last_match.captures
          next LETTERS.fetch(name.downcase) if name

          character(decimal ? decimal.to_i : hexadecimal.hex) || entity
        end
      end

      def character(number)
        [number].pack("U").then { |one| one if one.valid_encoding? }
      rescue RangeError
        nil
      end

      # Ids of pairs with nothing half inside.
      def nested_pairs(content)
        open = []
        content.codes.reject(&:alone?).filter_map do |code|
          next open.push(code.id) && nil if code.open?

          inner = open.last == code.id
          open.delete(code.id)
          code.id if inner
        end
      end
      private_class_method :nested_pairs, :character

      def tag(code, nested)
        return %(<x id="#{code.id}"/>) if code.alone?
        return %(<x id="#{code.id}#{HALVES.key(code.kind)}"/>) unless nested.include?(code.id)

        code.open? ? %(<g id="#{code.id}">) : "</g>"
      end
      private_class_method :tag

      # What services make of the tags: other letters, spaces, quotes and brackets, entities.
      module Damaged
        OPEN, CLOSE = "(?:<|&lt;|[＜‹])\\s*", "\\s*(?:>|&gt;|[＞›])"
        QUOTE = "(?:\\\\?[\"'“”„«»‘’＂]|&quot;|&apos;|&\\#0?3[49];)?"
        ID = "\\s+id\\s*[=＝]\\s*#{QUOTE}\\s*(\\d+)".freeze
        TAG = %r{
          #{OPEN}g#{ID}\s*#{QUOTE}#{CLOSE}|
          (#{OPEN}/\s*g#{CLOSE})|
          #{OPEN}x#{ID}(o|c)?\s*#{QUOTE}\s*/?#{CLOSE}(?:#{OPEN}/\s*x#{CLOSE})?
        }xi
        # What is no text where the source has nothing like it: tags of any name, and pieces of ours.
        ANY = %r{</?\s*\p{L}[^<>]*>|<\s*/?\s*[gx]\s+id\b[^<>]*|</\s*[gx]\b|\bid\s*=\s*["“”']\d+[oc]?["“”']\s*/?>}i
        STRAY = /(?<=\s)(?:#{ANY})\s*|#{ANY}/

        # Without what is left of tags. text: unescaped; source: text of the source.
        def self.without(text, source)
          text = Markup.unescape(text) unless source.match?(ENTITY)
          source.include?("<") ? text : text.gsub(STRAY, "")
        end
      end

      # Reads text with markup: each code of the source once, pairs only whole; markup that is damaged or
      # unknown is repaired or left out, and never text.
      class Reader
        def initialize(source)
          @text = source.text
          @codes = source.codes.to_h { |code| [[code.kind, code.id], code] }
          # A text about markup is taken as it comes.
          @tag = Markup.escape(@text).match?(Damaged::TAG) ? TAG : Damaged::TAG
        end

        def content(text)
          left, open = @codes.dup, []
          items = pieces(text).map do |piece|
            next Damaged.without(Markup.unescape(piece), @text) if piece.is_a?(String)

            left.delete(key(piece, open))
          end
          Content.new(whole(items.compact))
        end

        private

        # [String or MatchData of a tag …]
        def pieces(text)
          found = []
          rest = Offsets.parts(text, @tag) { |before, tag| found << before << @tag.match(tag) }
          [*found, rest]
        end

        # What a tag stands for: [kind, id].
        def key(tag, open)
          pair, close, single, half = tag.captures
          return [:open, pair.to_i].tap { open.push(pair.to_i) } if pair
          return [:close, open.pop] if close

          [HALVES.fetch(half&.downcase, :alone), single.to_i]
        end

        def whole(items)
          kinds = items.grep(Code).group_by(&:id).transform_values { |codes| codes.map(&:kind) }
          items.reject do |item|
            item.is_a?(Code) && !item.alone? && (%i[open close] - kinds[item.id]).any?
          end
        end
      end

      # Puts codes that were lost in by the share of the words that stand before them in the source.
      class Placing
        WORD = /\S+/

        def initialize(source)
          @source = source
          @words = words(source.text)
        end

        # lost: written codes.
        def with(content, lost)
          @source.codes.select { |code| lost.include?(code.written) }
            .reduce(content) { |target, code| insert(target, code) }
        end

        private

        def words(text) = text.scan(WORD).size

        def insert(content, code)
          before = Content.new(@source.items.first(@source.items.index(code))).text
          share = @words.zero? ? 0 : words(before) / @words.to_f
          at = offset(content.text, (share * words(content.text)).round, code)
          split(content, at, code)
        end

        # A closing code goes behind a word, all others before the next one.
        def offset(text, count, code)
          ends = Offsets.all(text, WORD)
          return count.zero? ? 0 : ends[count - 1].last if code.close? || count >= ends.size

          ends[count].first
        end

        # Behind the codes that stand before it in the source, of those at the same place.
        def split(content, at, code)
          items, place = parted(content, at)
          place += 1 while items[place].is_a?(Code) && before?(items[place], code)
          Content.new([*items.first(place), code, *items.drop(place)])
        end

        # The items with an end at an offset of the text, and the index of the one behind it.
        def parted(content, at)
          rest = at
          index = content.items.index { |item| item.is_a?(String) && (rest -= item.length) <= 0 }
          return content.items, content.items.size unless index

          text = content.items[index]
          behind = [text[(text.length + rest)..]].reject(&:empty?)
          [[*content.items.first(index), text[0...(text.length + rest)], *behind,
            *content.items.drop(index + 1)], index + 1]
        end

        def before?(one, other) = @source.items.index(one).to_i < @source.items.index(other)
      end
    end
  end
end
