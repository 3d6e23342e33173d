# What is done by hand to a list of beads: each act is a stretch of the list that is replaced by another
# one, so that it can be taken back; the segments and their order never change but where a text is cut,
# joined or written anew.
module Glossema
  module Alignment
    class Editing
      # A stretch of the list: from where, how many beads, and what stands there then.
      Replacement = Struct.new(:at, :count, :beads, keyword_init: true)
      ACTS = %w[join split take_out down up cut write leave confirm open note].freeze
      SIDES = %w[source target].freeze

      # beads: [{"source" => [item …], "target" => [item …], "probability", "state" => nil, "confirmed" or
      # "left", "set" => was it put together by hand?, "note"}, …]; an item: {"text", "block", "unit",
      # "codes"}.
      def initialize(beads)
        @beads = beads
      end

      # act: of ACTS; at: index of a bead; given: what it needs: "side" of SIDES, "index" of an item in it,
      # "offset" in its text, "text", "note". Returns a Replacement. Raises Refused "bead-…" where it cannot
      # be done.
      def act(act, at, given = {})
        raise Refused.new("bead-act", act: act) unless ACTS.include?(act)
        raise Refused.new("bead-none") unless at.between?(0, @beads.size - 1)

        @at, @bead, @given = at, @beads[at], given
        public_send(act)
      end

      # This one and the next one are one.
      def join
        other = @beads[@at + 1] || raise(Refused.new("bead-last"))
        made = by_hand(sides { |side| @bead[side] + other[side] }, [@bead["note"], other["note"]])
        Replacement.new(at: @at, count: 2, beads: [made])
      end

      # One becomes two: the first item of either side stands apart from the others.
      def split
        raise Refused.new("bead-single") if SIDES.all? { |side| @bead[side].size < 2 }

        first = by_hand(sides { |side| @bead[side].first(1) }, [@bead["note"]])
        replace(first, by_hand(sides { |side| @bead[side].drop(1) }))
      end

      # Neither side has anything opposite any more; of an item, it alone.
      def take_out
        return apart unless @given["side"]

        side, index = item_place
        items = @bead[side]
        before, after = items[0...index], items[(index + 1)..]
        raise Refused.new("bead-middle") if before.any? && after.any?

        alone = by_hand(side => [items[index]])
        rest = by_hand(@bead.slice(*SIDES).merge(side => before + after), [@bead["note"]])
        before.empty? ? replace(alone, rest) : replace(rest, alone)
      end

      # The last item of a side goes to the next bead; the first one to the bead before.
      def down = shift(1)
      def up = shift(-1)

      # A text is cut in two.
      def cut
        side, index = item_place
        item, offset = @bead[side][index], @given["offset"].to_i
        parts = [item["text"][0...offset].to_s.strip, item["text"][offset..].to_s.strip]
        raise Refused.new("bead-cut") if parts.any?(&:empty?)

        items = @bead[side].dup
        items[index, 1] = parts.map { |text| { **item, "text" => text } }
        replace(by_hand(@bead.slice(*SIDES).merge(side => items), [@bead["note"]]))
      end

      # A text is written otherwise.
      def write
        side, index = item_place
        text = @given["text"].to_s.strip
        raise Refused.new("bead-empty") if text.empty?

        items = @bead[side].dup
        items[index] = { **items[index], "text" => text }
        replace({ **@bead, side => items })
      end

      def leave = replace({ **@bead, "state" => @bead["state"] == "left" ? nil : "left" })
      def confirm = replace({ **@bead, "state" => "confirmed" })
      def open = replace({ **@bead, "state" => nil })
      def note = replace({ **@bead, "note" => @given["note"].to_s.strip })

      private

      def sides = SIDES.to_h { |side| [side, yield(side)] }

      def by_hand(given, notes = [])
        { "source" => [], "target" => [], **given, "probability" => nil, "state" => nil, "set" => true,
          "note" => notes.map(&:to_s).reject(&:empty?).join(" · ") }
      end

      def replace(*beads) = Replacement.new(at: @at, count: 1, beads: beads.reject { |bead| empty?(bead) })
      def empty?(bead) = SIDES.all? { |side| bead[side].empty? }

      def apart
        raise Refused.new("bead-single") if SIDES.any? { |side| @bead[side].empty? }

        replace(by_hand({ "source" => @bead["source"] }, [@bead["note"]]),
          by_hand("target" => @bead["target"]))
      end

      def item_place
        side, index = @given.values_at("side", "index")
        items = SIDES.include?(side) ? @bead[side] : []
        raise Refused.new("bead-none") unless index.to_i.between?(0, items.size - 1)

        [side, index.to_i]
      end

      def shift(step)
        side = @given["side"]
        raise Refused.new("bead-none") unless SIDES.include?(side) && @bead[side].any?

        other = beside(step)
        moved, left = step.positive? ? [@bead[side].last(1), @bead[side][0...-1]] : parted(@bead[side])
        mine = by_hand(@bead.slice(*SIDES).merge(side => left), [@bead["note"]])
        theirs = by_hand(taking(other || by_hand({}), side, moved, step), [other.to_h["note"]])
        beads = in_order(mine, theirs, step).reject { |bead| empty?(bead) }
        return Replacement.new(at: @at, count: 1, beads: beads) unless other

        Replacement.new(at: [@at, @at + step].min, count: 2, beads: beads)
      end

      def parted(items) = [items.first(1), items.drop(1)]
      def in_order(mine, theirs, step) = step.positive? ? [mine, theirs] : [theirs, mine]
      def beside(step) = (@at + step).between?(0, @beads.size - 1) ? @beads[@at + step] : nil

      def taking(other, side, moved, step)
        items = step.positive? ? moved + other[side] : other[side] + moved
        other.slice(*SIDES).merge(side => items)
      end
    end
  end
end
