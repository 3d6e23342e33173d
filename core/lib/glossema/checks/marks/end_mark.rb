# A sentence that ends with another mark than its source.
module Glossema
  module Checks
    class EndMark < Check
      is "end-mark", group: "marks", level: "look"

      # What may follow an end mark.
      CLOSERS = /(?<![\s"'”’»›)\]}＞>*_])[\s"'”’»›)\]}＞>*_]+\z/
      CLASSES = {
        "." => "stop", "。" => "stop", "۔" => "stop", "।" => "stop", "．" => "stop", "!" => "exclamation",
        "！" => "exclamation", "?" => "question", "？" => "question", "؟" => "question", ";" => "semicolon",
        "；" => "semicolon", "؛" => "semicolon", ":" => "colon", "：" => "colon", "…" => "ellipsis",
        "," => "comma", "、" => "comma", "،" => "comma"
      }.freeze
      # In Greek the mark of a question looks like a semicolon.
      GREEK = { ";" => "question", "\u037E" => "question" }.freeze

      STOPS = { "ja" => "。", "zh" => "。", "hi" => "।", "ur" => "۔" }.freeze
      MARKS = { "question" => "?", "exclamation" => "!", "colon" => ":" }.freeze
      # Languages whose marks take more than themselves, or other forms.
      OTHERWISE = %w[fr es ar fa he el].freeze

      def findings(pair)
        before, now = end_of(pair.from, pair.source_language), end_of(pair.into, pair.target_language)
        return [] if before == now || unmarked?(pair, before, now)

        [finding(variant(before, now), source: last(pair.from), target: last(pair.into),
          fix: fix(pair, before, now))]
      end

      private

      def end_of(text, language)
        bare = text.sub(CLOSERS, "")
        return if inside?(text, bare)
        return "ellipsis" if bare.match?(/(?:…|\.\.\.)\z/)

        (language == "el" && GREEK[bare[-1]]) || CLASSES[bare[-1]]
      end

      # The mark of an abbreviation before brackets that do not hold the whole, or a sign that is quoted.
      def inside?(text, bare)
        rest = text[bare.length..].strip
        return true if rest.match?(/\A["'”’»›“]/) && bare.match?(/["'“”‘’«»„‚‹›][.!?]{1,2}\z/)

        rest.match?(/\A[)\]}]/) && !text.match?(/\A\s*[(\[{]/) && bare.match?(/[(\[{][^.!?]*\.\z/)
      end

      # Thai ends its sentences with nothing.
      def unmarked?(pair, before, now) = pair.target_language == "th" && before == "stop" && now.nil?

      def variant(before, now)
        return "missing" if now.nil?

        before.nil? ? "added" : "other"
      end

      def last(text) = text.empty? ? [] : [[text.length - 1, text.length]]

      # A mark that is just not there is put in where the target ends with a letter.
      def fix(pair, before, now)
        return unless now.nil? && pair.into.match?(/[\p{L}\p{M}]\z/) && pair.target.items.last.is_a?(String)

        mark = before == "stop" ? STOPS.fetch(pair.target_language, ".") : MARKS[before]
        pair.target.written + mark if mark && !OTHERWISE.include?(pair.target_language)
      end
    end
  end
end
