# Lines of a cue of very unequal length; speakers that take turns are as long as they are.
module Glossema
  module Checks
    class CueUneven < Check
      # shortest: in percent of the longest line.
      is "cue-uneven", group: "timed", level: "look", parameters: { "shortest" => 30 }

      def findings(pair)
        return [] unless pair.cue

        lines = Timing::Meters.new(pair.cue, pair.into).lines
        return [] if lines.size < 2 || lines.any? { |line| line.match?(/\A[-–—]/) }

        shortest, longest = lines.map { |line| line.scan(/\X/).size }.minmax
        return [] if shortest * 100 >= longest * @parameters.fetch("shortest")

        [finding(shortest: shortest, longest: longest, target: [[0, pair.into.length]])]
      end
    end
  end
end
