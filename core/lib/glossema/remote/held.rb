# The units that another server returned for a text, as a memory for lookups: they are scored here, by the
# same rules as units of local memories.
module Glossema
  module Remote
    class Held
      attr_reader :id, :name, :language_pair, :penalty

      # units: [Unit]; language_pair: [source tag, target tag].
      def initialize(units, id:, name:, language_pair:, penalty: 0)
        @units, @id, @name, @language_pair, @penalty = units, id, name, language_pair, penalty
      end

      # See Matching::Lookup.
      def candidates(*, **)
        @units.each_with_index do |unit, index|
          yield Matching::Candidate.new(
            id: index, source: Content.from_written(unit.source), target: Content.from_written(unit.target),
            attributes: attributes(unit)
          )
        end
      end

      private

      def attributes(unit)
        beside = { "previous" => unit.previous, "next" => unit.next }
        unit.attributes.merge(beside.transform_values { |mark| Remote.number(mark)&.to_s })
      end
    end
  end
end
