# When a cue is shown: number, start and end in seconds (Rational); the end is nil where the file names none.
# place: where on the picture, see Placement.
module Glossema
  module Timing
    Cue = Struct.new(:number, :start, :finish, :place, keyword_init: true) do
      # nil without an end.
      def duration = finish && (finish - start)

      # Seconds from its end to the beginning of another one; below 0 they overlap; nil without an end.
      def gap_to(other) = finish && (other.start - finish)

      # location: of a unit, or nil → Cue; nil where it is no cue, or one without a start.
      def self.at(location)
        return unless location && location["kind"] == "cue"

        start, finish = location.values_at("start", "end").map { |text| seconds(text.to_s) }
        new(number: location["cue"], start: start, finish: finish, place: location["placement"]) if start
      end

      # "01:02:03,400", "02:03.4", "-00:00:01,000" → Rational seconds, or nil.
      def self.seconds(text)
        match = text.match(/\A(-)?(?:(\d+):)?(\d{1,2}):(\d{1,2})(?:[.,](\d{1,9}))?\z/) or return
        hours, minutes, whole = match.captures[1..3].map(&:to_i)
        parts = match[5].to_s
        time = (hours * 3600) + (minutes * 60) + whole + Rational(parts.to_i, 10**parts.length)
        match[1] ? -time : time
      end

      # Seconds → "00:00:01.500", to the thousandth.
      def self.clock(seconds)
        thousandths = (seconds.abs * 1000).round
        whole, rest = thousandths.divmod(1000)
        minus = seconds.negative? ? "-" : ""
        format("%s%02d:%02d:%02d.%03d", minus, whole / 3600, whole / 60 % 60, whole % 60, rest)
      end
    end
  end
end
