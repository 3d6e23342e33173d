# When work is done that is begun at a time and takes so many hours, on working days and within working hours.
module Glossema
  module Counting
    class WorkTime
      MINUTE = 60
      # No work is planned further ahead.
      MOST_DAYS = 3660

      # days: numbers of weekdays, Sunday 0; from, to: "09:00". Raises Refused "hours-wrong" when no time is
      # left to work in.
      def initialize(days:, from:, to:)
        @days = days.map(&:to_i) & (0..6).to_a
        @from, @to = minutes(from), minutes(to)
        raise Refused.new("hours-wrong") if @days.empty? || @from.nil? || @to.nil? || @to <= @from
      end

      # start: Time in the user's time zone; hours: Numeric. Returns the Time of the minute at which it is
      # done, or nil where that is too far away.
      def done_at(start, hours)
        left = (hours * MINUTE).ceil
        day = start.to_date
        MOST_DAYS.times do
          from = day == start.to_date ? [minute_of(start), @from].max : @from
          room = @days.include?(day.wday) ? [@to - from, 0].max : 0
          return at(day, from + left, start) if room.positive? && left <= room

          left -= room
          day += 1
        end
        nil
      end

      private

      def minutes(text)
        match = text.to_s.match(/\A(\d{1,2}):(\d{2})\z/) or return
        hour, minute = match.captures.map(&:to_i)
        (hour * 60) + minute if hour <= 24 && minute < 60 && (hour * 60) + minute <= 1440
      end

      def minute_of(time) = (time.hour * 60) + time.min + (time.sec.positive? ? 1 : 0)

      def at(day, minute, start)
        Time.new(day.year, day.month, day.day, 0, 0, 0, start.utc_offset) + (minute * MINUTE)
      end
    end
  end
end
