# A word of two scripts: a Cyrillic or Greek letter that looks like a Latin one.
module Glossema
  module Checks
    class MixedScripts < Check
      is "mixed-scripts", group: "letters", level: "must-fix"

      WORD = /[\p{L}\p{M}]+/
      SCRIPTS = [/\p{Latin}/, /\p{Cyrillic}/, /\p{Greek}/].freeze

      # Those that hold Latin letters alone hold no others.
      OTHER = /[\p{Cyrillic}\p{Greek}]/

      def findings(pair)
        return [] unless pair.into.match?(OTHER)

        places(bare(pair.into), WORD).filter_map do |match|
          next if SCRIPTS.count { |script| match[0].match?(script) } < 2 || pair.from.include?(match[0])
          # µm and Ω stand for themselves.
          next if match[0].match?(/\A[µμΩπ]\p{Latin}+\z/)

          finding(word: match[0], target: [match.offset(0)])
        end
      end

      private

      # Escaped letters of addresses (%0A) belong to no word.
      def bare(text) = Placeholders.masked(text).gsub(/%\h\h/, "   ")
    end
  end
end
