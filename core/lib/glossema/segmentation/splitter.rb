# Splits the content of a unit into segments and the skeleton between them, and puts it together again.
module Glossema
  module Segmentation
    # A stretch of a unit. segment? pieces are translated; the others (white space, codes outside the words)
    # are kept.
    Piece = Struct.new(:segment, :content) { def segment? = segment }

    module Splitter
      # White space at the end: looked for where a run of it begins only, so that long ones cost no more.
      TRAILING = /(?<![[:space:]])[[:space:]]+\z/

      module_function

      # content: Content of a unit; breaks: offsets in content.text. Returns Pieces whose contents, one after
      # the other, show the same as the whole. Segments have their codes numbered from 1.
      def split(content, breaks)
        if breaks.empty? && content.items.size == 1 && content.items.first.is_a?(String) &&
            !content.items.first.match?(/\A[[:space:]]|[[:space:]]\z/)
          return [Piece.new(true, content)]
        end

        chunks(content, breaks).flat_map { |chunk| trim(chunk) }
      end

      # The one segment of a unit that comes with its translation → [pieces, target Content]. What stands
      # around the segment stays outside only where it stands around the translation too.
      def split_pair(source, target)
        pieces, other = [source, target].map { |content| split(content, []) }
        unless edges(pieces) == edges(other) && pieces.one?(&:segment?) && other.one?(&:segment?)
          pieces, other = [source, target].map { |content| spaced(content) }
        end
        inner = pieces.find(&:segment?)
        return pieces, nil unless inner

        numbers = inner.content.codes.to_h { |code| [code.key, code.id] }
        [
          pieces,
          Content.new(
            other
              .find(&:segment?)
              .content
              .items
              .filter_map do |item|
                item.is_a?(String) ? item : (numbers[item.key] && item.with(id: numbers[item.key]))
              end
          ).well_formed
        ]
      end

      def edges(pieces)
        at = pieces.index(&:segment?) || 0
        [pieces[0...at], pieces[(at + 1)..]].map do |list|
          list.flat_map { |piece| piece.content.codes.map { |code| [code.key, code.kind] } }
        end
      end
      private_class_method :edges

      # Only white space cut off.
      def spaced(content)
        items = content.items.dup
        lead = items.first.is_a?(String) ? items.first[/\A[[:space:]]+/] : nil
        items[0] = items[0].delete_prefix(lead) if lead
        trail = items.last.is_a?(String) ? items.last[TRAILING] : nil
        items[-1] = items[-1].delete_suffix(trail) if trail
        [
          lead && Piece.new(false, Content.text(lead)),
          Piece.new(true, Content.new(items).renumber),
          trail && Piece.new(false, Content.text(trail))
        ].compact
      end
      private_class_method :spaced

      # pieces with the segment contents replaced, in order, by `targets` (Content or nil to keep) → content
      # of the unit.
      def join(pieces, targets)
        waiting = targets.dup
        Content.new(
          pieces.flat_map { |piece| ((piece.segment? && waiting.shift&.well_formed) || piece.content).items }
        ).well_formed
      end

      # Cuts at the breaks; pairs that run over a break are closed before it and opened again after it.
      def chunks(content, breaks)
        result, current, stack, offset, ahead = [], [], [], 0, breaks.dup
        cut =
          lambda do
            result << (current + stack.reverse.map { |code| code.with(kind: :close) })
            current = stack.dup
            ahead.shift
          end
        content.items.each do |item|
          if item.is_a?(Code)
            # What stands at a break belongs before it, except what opens or takes up room.
            if ahead.first && offset >= ahead.first &&
                (item.open? || item.type == "anchor-start" || !item.equiv.to_s.empty?)
              cut.call
            end
            current << item
            item.open? ? stack.push(item) : (stack.delete_if { |code| code.key == item.key } if item.close?)
            offset += item.equiv.to_s.length unless item.close?
          else
            text = item
            loop do
              room = ahead.first && ahead.first - offset
              break if room.nil? || room >= text.length

              current << text[0...room] if room.positive?
              offset += [room, 0].max
              text = text[[room, 0].max..]
              cut.call
            end
            current << text
            offset += text.length
          end
        end
        cut.call
        result
      end
      private_class_method :chunks

      # One chunk → [leading skeleton, segment, trailing skeleton], those that are not empty.
      def trim(items)
        anchors, list = items.partition { |item| item.is_a?(Code) && item.anchor? }
        list = Content.new(list).items.dup
        seen = nil
        lead, trail = anchors.partition { |code| code.type == "anchor-start" }
        loop do
          before = list.size
          strip_text(list, lead, trail)
          lead << list.shift while outside?(list.first)
          trail.unshift(list.pop) while outside?(list.last)
          first, last = list.first, list.last
          if first.is_a?(Code) && first.open? && (at = matching(list, first))
            if at == list.size - 1
              lead << list.shift
              trail.unshift(list.pop)
            elsif list[1...at].all? { |item| blank?(item) }
              lead.concat(list.shift(at + 1))
            end
          end
          if last.is_a?(Code) && last.close? && list.last.equal?(last) &&
              (from = list.rindex { |item| item.is_a?(Code) && item.open? && item.key == last.key }) &&
              list[(from + 1)...-1].all? { |item| blank?(item) }
            trail = list.pop(list.size - from) + trail
          end
          break if list.size == before && (!edge_space?(list) || list == seen)

          seen = list.dup
        end
        return [Piece.new(false, Content.new(items))] if list.empty?

        [
          Piece.new(false, Content.new(lead)),
          Piece.new(true, Content.new(list).renumber),
          Piece.new(false, Content.new(trail))
        ].reject { |piece| piece.content.empty? }
      end
      private_class_method :trim

      # A code that stands for no words may stay outside a segment; a placeholder may have to move.
      def outside?(item) = item.is_a?(Code) && item.alone? && item.type != "placeholder"
      private_class_method :outside?

      # White space at the edges goes to the skeleton; inside a pair that opens or closes there, with its
      # look.
      def strip_text(list, lead, trail)
        opens = list.take_while { |item| item.is_a?(Code) && item.open? }
        closes = list.reverse.take_while { |item| item.is_a?(Code) && item.close? }.reverse
        inside_edge(list, opens.size, /\A[[:space:]]+/, opens) do |space|
          lead.push(*opens, space, *opens.reverse.map { |code| code.with(kind: :close) })
        end
        inside_edge(list, -1 - closes.size, TRAILING, closes) do |space|
          trail.unshift(*closes.reverse.map { |code| code.with(kind: :open) }, space, *closes)
        end
        if list.first.is_a?(String) && (space = list.first[/\A[[:space:]]+/])
          lead << space
          list[0] = list[0][space.length..]
          list.shift if list[0].empty?
        end
        return unless list.last.is_a?(String) && (space = list.last[TRAILING])

        trail.unshift(space)
        list[-1] = list[-1][0...-space.length]
        list.pop if list[-1].empty?
      end
      private_class_method :strip_text

      def inside_edge(list, at, edge, codes)
        text = list[at]
        return if codes.empty? || !text.is_a?(String)

        space = text[edge] or return
        list[at] = text.sub(edge, "")
        list.delete_at(at) if list[at].empty?
        yield space
      end
      private_class_method :inside_edge

      def edge_space?(list)
        text = Content.new(list).text
        text.match?(/\A[[:space:]]/) || text.match?(/[[:space:]]\z/)
      end
      private_class_method :edge_space?

      def blank?(item) = item.is_a?(String) ? item.match?(/\A[[:space:]]*\z/) : true
      private_class_method :blank?

      def matching(list, open)
        depth = 0
        list.each_with_index do |item, index|
          next unless item.is_a?(Code) && item.key == open.key

          depth += item.open? ? 1 : -1
          return index if depth.zero?
        end
        nil
      end
      private_class_method :matching
    end
  end
end
