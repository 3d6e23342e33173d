# Brackets that do not pair, or that are gone altogether.
module Glossema
  module Checks
    class BracketUnpaired < Check
      is "bracket-unpaired", group: "marks", level: "look"

      PAIRS = { "(" => ")", "[" => "]", "{" => "}", "（" => "）", "【" => "】" }.freeze
      FOLDED = { "（" => "(", "）" => ")", "【" => "[", "】" => "]" }.freeze
      # A list mark such as "a)" opens nothing; nor does a face.
      LIST_MARK = /\A\s*[\p{L}\d]{1,3}\)|[:;]-?[)(]/
      # An ending that may be there, file(s), and what calls a function, run(): a language may do without.
      ENDING = /(?<=\p{L})\(\p{L}{0,3}\)/

      def findings(pair)
        before, now = counted(pair.from), counted(pair.into)
        return [] if before == now

        PAIRS.filter_map do |open, close|
          next if now.values_at(open, close) == before.values_at(open, close)

          bad = now.fetch(open, 0) != now.fetch(close, 0) ? "unpaired" : "gone"
          # Some more or fewer are a matter of wording.
          next if bad == "gone" && (now.fetch(open, 0).positive? || before.fetch(open, 0).zero?)
          # Brackets that the source does not pair either are its own affair.
          next if bad == "unpaired" && before.fetch(open, 0) != before.fetch(close, 0)

          finding(bad, brackets: "#{open} #{close}", target: spots(pair.into, [open, close]))
        end.first(1)
      end

      private

      def counted(text)
        bare = text.gsub(Regexp.union(LIST_MARK, ENDING), "")
        bare.gsub(/[（）【】]/, FOLDED).scan(/[()\[\]{}]/).tally
      end

      def spots(text, marks) = places(text, Regexp.union(marks)).map { |match| match.offset(0) }
    end
  end
end
