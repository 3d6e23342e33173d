# Codes as markup that a service can carry along: <g id="1">…</g> for a pair, <x id="2"/> for one that stands
# alone, <x id="3o"/> and <x id="3c"/> for the two of a pair that does not nest; and back, whatever the
# service made of it.
module Glossema
  module Machine
    module Markup
      TAG = %r{<g id="(\d+)">|(</g>)|<x id="(\d+)(o|c)?"/>}
      HALVES = { "o" => :open, "c" => :close }.freeze
      ENTITIES = { "&" => "&amp;", "<" => "&lt;", ">" => "&gt;" }.freeze
      LETTERS = { "amp" => "&", "lt" => "<", "gt" => ">", "quot" => '"', "#39" => "'" }.freeze
      # What was read: content; lost: written codes that did not come back and were put where they stand in
      # the source.
      Answer = Struct.new(:content, :lost)

      module_function

      # Content → text with markup.
      def of(content)
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
      def unescape(text) = text.gsub(/&(amp|lt|gt|quot|#39);/) { LETTERS[Regexp.last_match(1)] }

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
      private_class_method :nested_pairs

      def tag(code, nested)
        return %(<x id="#{code.id}"/>) if code.alone?
        return %(<x id="#{code.id}#{HALVES.key(code.kind)}"/>) unless nested.include?(code.id)

        code.open? ? %(<g id="#{code.id}">) : "</g>"
      end
      private_class_method :tag

      # Reads text with markup: each code of the source once, pairs only whole.
      class Reader
        def initialize(source)
          @codes = source.codes.to_h { |code| [[code.kind, code.id], code] }
        end

        def content(text)
          left, open = @codes.dup, []
          items = pieces(text).map do |piece|
            piece.is_a?(String) ? Markup.unescape(piece) : left.delete(key(piece, open))
          end
          Content.new(whole(items.compact))
        end

        private

        # [String or MatchData of a tag …]
        def pieces(text)
          tags = text.enum_for(:scan, TAG).map { Regexp.last_match }
          ends = [0, *tags.map { |tag| tag.end(0) }]
          starts = [*tags.map { |tag| tag.begin(0) }, text.length]
          texts = ends.zip(starts).map { |from, to| text[from...to] }
          texts.zip(tags).flatten.compact
        end

        # What a tag stands for: [kind, id].
        def key(tag, open)
          pair, close, single, half = tag.captures
          return [:open, pair.to_i].tap { open.push(pair.to_i) } if pair
          return [:close, open.pop] if close

          [HALVES.fetch(half, :alone), single.to_i]
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
          ends = text.enum_for(:scan, WORD).map { Regexp.last_match.offset(0) }
          return count.zero? ? 0 : ends[count - 1].last if code.close? || count >= ends.size

          ends[count].first
        end

        def split(content, at, code)
          passed = 0
          place = content.items.index { |item|
            item.is_a?(String) && (passed += item.length) >= at
          }
          return Content.new([*content.items, code]) unless place

          text = content.items[place]
          cut = text.length - (passed - at)
          items = content.items.dup
          items[place, 1] = [text[0...cut], code, text[cut..]]
          Content.new(items)
        end
      end
    end
  end
end
