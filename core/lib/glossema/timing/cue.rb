# When a cue is shown: number, start and end in seconds (Rational).
module Glossema
  module Timing
    Cue = Struct.new(:number, :start, :finish, keyword_init: true) do
      def duration = finish - start

      # Seconds from its end to the beginning of another one; below 0 they overlap.
      def gap_to(other) = other.start - finish

      # path: of a unit of a timed format ("cue 3 · 00:00:01,000 → 00:00:04,200") → Cue, or nil for any other.
      def self.of(path)
        match = path.to_s.match(/\Acue (\d+) · (\S+) → (\S+)\z/) or return
        times = match.captures.drop(1).map { |text| seconds(text) }
        new(number: match[1].to_i, start: times[0], finish: times[1]) if times.all?
      end

      # "01:02:03,400", "02:03.4" → Rational seconds, or nil.
      def self.seconds(text)
        match = text.match(/\A(?:(\d+):)?(\d{1,2}):(\d{1,2})(?:[.,](\d{1,3}))?\z/) or return
        hours, minutes, whole = match.captures.first(3).map(&:to_i)
        (hours * 3600) + (minutes * 60) + whole + Rational(match[4].to_s.ljust(3, "0").to_i, 1000)
      end
    end
  end
end
