# What a client allows of a cue. Raises Refused "limits-broken" for what are none.
module Glossema
  module Timing
    class Limits
      # cps: characters a second; characters: of a line; lines; shortest, longest: seconds; frames between
      # cues, at rate frames a second.
      USUAL = { "cps" => 17, "characters" => 42, "lines" => 2, "shortest" => 0.8, "longest" => 7,
                "frames" => 2, "rate" => 25 }.freeze

      # given: some of USUAL, as a JSON object.
      def initialize(given = {})
        known = given.is_a?(Hash) && given.all? { |name, value| USUAL.key?(name) && value.is_a?(Numeric) }
        raise Refused.new("limits-broken") unless known && given.values.all?(&:positive?)

        @values = USUAL.merge(given)
      end

      USUAL.each_key { |name| define_method(name) { @values.fetch(name) } }

      def to_h = @values

      # The least gap between two cues, in seconds.
      def gap = Rational(frames.to_r, rate.to_r)
    end
  end
end
