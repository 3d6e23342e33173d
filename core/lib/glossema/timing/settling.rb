# Times that are wanted for a cue, put on the film’s frames and apart from the cues beside it.
module Glossema
  module Timing
    class Settling
      # limits: Limits.
      def initialize(limits)
        @limits = limits
      end

      # start, finish: seconds; before, after: the cues beside it, or nil. Returns [start, finish]. Raises
      # Refused "cue-no-room" where nothing is left between them.
      def settle(start, finish, before: nil, after: nil)
        start, finish = [start, finish].map { |time| frame(time) }
        earliest = before&.finish ? up(before.finish + @limits.gap) : 0
        latest = after ? down(after.start - @limits.gap) : finish
        start, finish = [start, earliest].max, [finish, latest].min
        raise Refused.new("cue-no-room") unless finish > start

        [start, finish]
      end

      # The nearest frame; the next one from a time on, the last one up to it.
      def frame(time) = (time.to_r * rate).round / rate
      def up(time) = (time.to_r * rate).ceil / rate
      def down(time) = (time.to_r * rate).floor / rate

      private

      def rate = @limits.rate.to_r
    end
  end
end
