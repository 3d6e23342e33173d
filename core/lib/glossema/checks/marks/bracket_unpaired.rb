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

      ANY = /[()\[\]{}（）【】]/

      def findings(pair)
        return [] unless pair.from.match?(ANY) || pair.into.match?(ANY)

        before, now = counted(pair.from), counted(pair.into)
        return [] if before == now

        open, close, bad = PAIRS.lazy.map { |pair_of| [*pair_of, fault(pair_of, before, now)] }.find(&:last)
        return [] unless bad

        [finding(bad, brackets: "#{open} #{close}", target: spots(pair.into, [open, close]))]
      end

      private

      # before, now: how often each mark stands in the source and in the target. Some more or fewer pairs
      # are a matter of wording, and brackets that the source does not pair either are its own affair.
      def fault((open, close), before, now)
        was, is = [before, now].map { |counts| counts.values_at(open, close).map(&:to_i) }
        return if was == is
        return was.uniq.one? ? "unpaired" : nil unless is.uniq.one?

        "gone" if is.first.zero? && was.first.positive?
      end

      def counted(text)
        bare = text.gsub(Regexp.union(LIST_MARK, ENDING), "")
        bare.gsub(/[（）【】]/, FOLDED).scan(/[()\[\]{}]/).tally
      end

      def spots(text, marks) = places(text, Regexp.union(marks)).map { |match| match.offset(0) }
    end
  end
end
