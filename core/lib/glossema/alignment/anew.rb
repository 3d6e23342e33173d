# What lies between beads that are fixed is aligned anew, with what the beads around teach.
module Glossema
  module Alignment
    class Anew
      # A change tells of what stands near: so many open beads on either side are aligned anew.
      REACH = 80
      # So many beads on either side teach the words.
      AROUND = 300
      # Beads that are surer than this teach.
      SURE = 0.8

      # beads: as Editing has them.
      def initialize(beads)
        @beads = beads
      end

      # at: index of a bead that was changed → Editing::Replacements of the open stretches on either side of
      # it, the later one first, without those that would stay as they are.
      def around(at)
        [stretch(at + 1, 1), stretch(at - 1, -1)].compact.filter_map { |from, to| replacement(from, to) }
      end

      def self.fixed?(bead) = bead["set"] || !bead["state"].nil?

      private

      def stretch(from, step)
        at = from
        at += step while (at - from).abs < REACH && open?(at)
        return if at == from

        step.positive? ? [from, at - 1] : [at + 1, from]
      end

      def open?(at) = at.between?(0, @beads.size - 1) && !self.class.fixed?(@beads[at])

      def replacement(from, to)
        old = @beads[from..to]
        items = Editing::SIDES.map { |side| old.flat_map { |bead| bead[side] } }
        aligner = Aligner.new(*items.map { |list| list.map { |item| piece(item) } }, known: known(from, to))
        fresh = aligner.beads.map { |bead| bead_row(bead, items) }
        return if shape(fresh) == shape(old)

        Editing::Replacement.new(at: from, count: old.size, beads: fresh)
      end

      def piece(item)
        Piece.new(text: item["text"], block: item["block"], unit: item["unit"], codes: item["codes"].to_i)
      end

      # [[source text, target text], …]
      def known(from, to)
        beside = @beads[[from - AROUND, 0].max...from] + @beads[(to + 1)..(to + AROUND)].to_a
        sure = beside.select { |bead| self.class.fixed?(bead) || bead["probability"].to_f > SURE }
        sure.map { |bead| Editing::SIDES.map { |side| bead[side].map { |item| item["text"] }.join(" ") } }
      end

      def bead_row(bead, items)
        { "source" => items[0][bead.source], "target" => items[1][bead.target], "state" => nil,
          "set" => false, "probability" => bead.probability, "note" => "" }
      end

      def shape(beads) = beads.map { |bead| Editing::SIDES.map { |side| bead[side].size } }
    end
  end
end
