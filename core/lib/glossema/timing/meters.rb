# What is measured of a cue: how fast it must be read, its lines and their length, how long it is shown,
# what stands between it and the next.
module Glossema
  module Timing
    class Meters
      OVER = %w[cps characters lines duration gap overlap].freeze

      # cue: Cue; text: of it, lines apart by line breaks, codes left out; following: the next Cue, or nil.
      def initialize(cue, text, following: nil)
        @cue, @text, @following = cue, text, following
      end

      def lines = @text.split(/\r\n|\r|\n/).map(&:strip).reject(&:empty?)

      # Visible characters, spaces too; line breaks count nothing. User-perceived ones (UAX #29).
      def characters = lines.sum { |line| line.scan(/\X/).size }

      # Characters and words a second and a minute; nil where it is shown for no time.
      def cps = rate(characters)
      def wpm = rate(Counting::Tokens.tokenize(lines.join(" ")).count(&:counts?))&.*(60)

      # Seconds to the next cue, or nil.
      def gap = @following && @cue.gap_to(@following)

      # limits: Limits → of OVER, those that it does not keep.
      def over(limits)
        OVER.select { |name| public_send("#{name}_over?", limits) }
      end

      def cps_over?(limits) = !@cue.duration.nil? && characters.positive? && (cps.nil? || cps > limits.cps)
      def characters_over?(limits) = lines.any? { |line| line.scan(/\X/).size > limits.characters }
      def lines_over?(limits) = lines.size > limits.lines

      def duration_over?(limits)
        !@cue.duration&.between?(limits.shortest.to_r, limits.longest.to_r)
      end

      def gap_over?(limits) = !gap.nil? && !gap.negative? && gap < limits.gap
      def overlap_over?(_limits) = !gap.nil? && gap.negative?

      # {"cue", "start", "end", "duration", "cps", "wpm", "lines", "gap", "over"}: seconds with three
      # decimals, cps and wpm with one.
      def to_h(limits)
        { "cue" => @cue.number, "start" => seconds(@cue.start), "end" => seconds(@cue.finish),
          "duration" => seconds(@cue.duration), "cps" => cps&.round(1)&.to_f, "wpm" => wpm&.round(1)&.to_f,
          "lines" => lines, "gap" => seconds(gap), "over" => over(limits) }
      end

      private

      def rate(amount) = @cue.duration&.positive? ? amount / @cue.duration : nil
      def seconds(time) = time&.round(3)&.to_f
    end
  end
end
