# A term of the source whose translation in the termbase is not in the target.
module Glossema
  module Checks
    class TermMissing < Check
      is "term-missing", group: "terms", level: "look"

      def findings(pair)
        return [] unless @terms

        @terms.in_source(pair.from).filter_map do |found|
          targets = @terms.usable(found.entry)
          next if targets.empty? || @terms.translated?(found.entry, pair.into)
          next if name?(pair.from[found.from...found.to], pair.into)

          finding(term: pair.from[found.from...found.to], wanted: targets.first(3).map(&:written).join(", "),
            source: [[found.from, found.to]])
        end
      end

      private

      # With a capital and as it stands it is part of a name.
      def name?(text, target) = text.match?(/\A\p{Lu}/) && target.include?(text)
    end
  end
end
