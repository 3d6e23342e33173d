# Something never to be translated that is not in the target as it is.
module Glossema
  module Checks
    class NeverTranslated < Check
      is "never-translated", group: "terms", level: "must-fix"

      def findings(pair)
        listed.find(pair.from).group_by(&:text).flat_map do |text, places|
          # Cut off, or with an ending of the language behind it, it still stands there.
          there = pair.into.scan(/(?<!#{Languages::SPACED_LETTER})(?<!\p{N})#{Regexp.escape(text)}/).size
          places.drop(there).map { |one| finding(text: text, source: [[one.from, one.to]]) }
        end
      end

      private

      def listed = @listed ||= Terms::Listed.new(@lists.fetch("never_translated", []))
    end
  end
end
