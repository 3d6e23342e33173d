# A code of letters and figures, such as A2 or B-12, that is not in the target as it is.
module Glossema
  module Checks
    class CodeAltered < Check
      is "code-altered", group: "consistency", level: "look"

      CODE = /(?<![\p{L}\p{N}.\/_-])(?:\p{Lu}{1,6}-?\d{1,6}[A-Z]?|\p{Lu}{2,}(?:-\p{Lu}*\d+)+)(?![\p{L}\p{N}]|[-_]\p{L})/

      def findings(pair)
        return [] unless pair.from.match?(CODE)

        places(pair.from.gsub(LinkChanged::ADDRESS) { |one| " " * one.length }, CODE).filter_map do |match|
          # Written apart or together it is the same.
          bare = match[0].delete("-")
          next if pair.into.tr("-\u2011\u00A0 ", "").include?(bare)

          finding(code: match[0], source: [match.offset(0)])
        end
      end
    end
  end
end
