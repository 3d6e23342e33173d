# Times of day, from one language's form to another's: "2:30 pm" → "14:30" → "14.30".
module Glossema
  module Forms
    module Times
      module_function

      # match: with the groups hour, and minute, second, half (am or pm) where they are there.
      def written(match, source, target)
        said = match.named_captures
        half = said["half"]&.downcase&.slice(0)
        pattern = Patterns.time(target)
        # Without a half of the day it is of twenty-four hours, unless the source's clock has twelve.
        return same(said, pattern) if half.nil? && (twelve?(source) || !pattern.include?("h"))

        hour = of_day(said["hour"].to_i, half)
        mark = pattern[/[hH]+([:.])/, 1] || ":"
        minutes = [said["minute"] || "00", said["second"]].compact.join(mark)
        return "#{hour_in(pattern, hour)}#{mark}#{minutes}" unless pattern.include?("h")

        "#{(hour % 12).zero? ? 12 : hour % 12}#{mark}#{minutes}#{period(target, hour)}"
      end

      def twelve?(tag) = Patterns.time(tag).include?("h")
      private_class_method :twelve?

      # Only the mark between hours and minutes is the target's.
      def same(said, pattern)
        mark = pattern[/[hH]+([:.])/, 1] || ":"
        [said["hour"], said["minute"], said["second"]].compact.join(mark)
      end
      private_class_method :same

      def of_day(hour, half)
        return hour unless half

        (hour % 12) + (half == "p" ? 12 : 0)
      end
      private_class_method :of_day

      def hour_in(pattern, hour) = pattern.include?("HH") ? hour.to_s.rjust(2, "0") : hour.to_s
      private_class_method :hour_in

      def period(tag, hour)
        name = Patterns.fetch(tag, :calendars).dig(:gregorian, :periods, :format, :abbreviated,
          hour < 12 ? :am : :pm)
        " #{name}"
      end
      private_class_method :period
    end
  end
end
