# A mark that in French takes a no-break space before it (or behind, for «).
module Glossema
  module Checks
    class FrenchSpace < Check
      is "french-space", group: "marks", level: "look"

      WRONG = /(?<=[\p{L}\p{N})\]»”])(?: |(?=[;!?»]|:(?:\s|\z)))(?=[;:!?»](?!\/\/)(?:[\s.,)»]|\z))|(?<=«)(?: |(?=\p{L}))/
      NARROW, WIDE = "\u202F", "\u00A0"

      def findings(pair)
        return [] unless pair.target_language == "fr" && !pair.target_lang.end_with?("CA")

        places(pair.into, WRONG).map do |match|
          mark = pair.into[match.end(0)] == ":" || pair.into[match.begin(0) - 1] == "«" ? WIDE : NARROW
          finding(target: [[match.begin(0), [match.end(0), match.begin(0) + 1].max]],
            fix: pair.mended(*match.offset(0), mark))
        end
      end
    end
  end
end
