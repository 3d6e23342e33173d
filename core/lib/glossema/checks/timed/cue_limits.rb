# A cue that is read too fast, has lines too long or too many, is shown too short or too long, or stands too
# near to the next one, by the limits of the client.
module Glossema
  module Checks
    class CueLimits < Check
      is "cue-limits", group: "timed", level: "look",
        parameters: Timing::Limits::USUAL

      def findings(pair)
        return [] unless pair.cue

        limits = Timing::Limits.new(@parameters)
        meters = Timing::Meters.new(pair.cue, pair.into, following: pair.next_cue)
        (meters.over(limits) - passed_over(pair.cue)).map do |name|
          finding(name, target: [[0, pair.into.length]], **details(meters, pair.cue, limits))
        end
      end

      private

      # What other checks say.
      def passed_over(cue) = cue.finish ? %w[overlap] : %w[overlap duration]

      def details(meters, cue, limits)
        { cps: plain(meters.cps), most_cps: plain(limits.cps), longest: meters.lines.map { |line|
          line.scan(/\X/).size
        }.max.to_i,
          characters: limits.characters, count: meters.lines.size, lines: limits.lines,
          duration: plain(cue.duration), from: plain(limits.shortest), to: plain(limits.longest),
          gap: plain(meters.gap), frames: limits.frames }
      end

      # With up to two decimals.
      def plain(number) = number.nil? ? "∞" : format("%.2f", number.to_f).sub(/\.?0+\z/, "")
    end
  end
end
