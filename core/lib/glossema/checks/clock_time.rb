# A time of day as it stands in a text, by the clock of twelve hours or that of twenty-four.
module Glossema
  module Checks
    # from…to: its place, with the half of the day; minute: nil where none is said; half: "a", "p" or nil.
    ClockTime =
      Struct.new(:from, :to, :hour, :minute, :half) do
        def self.all(text)
          found = []
          Offsets.each(text, ClockTime::PATTERN) do |_, from, to, scanner|
            found << new(from, to, scanner[:hour].to_i, scanner[:minute]&.to_i, scanner[:half]&.downcase)
          end
          found
        end

        # here, there: does a half of the day stand anywhere in the text of this one, of the other?
        def same?(other, here, there)
          minute.to_i == other.minute.to_i && hours(here).intersect?(other.hours(there)) &&
            (half || other.half || (minute && other.minute))
        end

        # The hours it can mean, of twenty-four. Where a half is said once for two times (5:30 to 6 p.m.) the
        # other has it too.
        def hours(halved)
          return [(hour % 12) + (half == "p" ? 12 : 0)] if half

          halved && hour <= 12 ? [hour % 24, (hour % 12) + 12] : [hour % 24]
        end
      end
    ClockTime::HALF = /(?<![\p{L}])[ap](?:\.[ \u00A0]?m\.|m(?!\p{L}))/i
    ClockTime::PATTERN = /(?<![\p{Nd}\p{L}])(?<!\p{Nd}[.,:])
      (?<hour>[01]?\d|2[0-4])(?:[:.h](?<minute>[0-5]\d))?
      (?![\p{Nd}]|[.,:]\p{Nd})(?:[ \u00A0\u202F]?(?<half>[ap])(?:\.[ \u00A0]?m\.?|m)(?!\p{L}))?/xi
  end
end
