# The score of a match: a weighted edit distance over words, numbers, marks and codes.
require "damerau-levenshtein"
require "digest"

module Glossema
  module Matching
    WEIGHTS = { word: 1.0, number: 1.0, mark: 0.25, code: 0.25 }.freeze

    # A token of a content as the score sees it; from…to is its place in the content's text (a code has none
    # of its length).
    Unit = Struct.new(:text, :kind, :from, :to, :weight)

    # One difference: op is "insert" (only in the source of today), "delete" (only in the memory) or
    # "replace". source and memory hold the words, nil where there is none; *_span their places [from, to] in
    # the two texts, an empty one where the other's word would stand.
    Difference = Struct.new(:op, :source, :memory, :source_span, :memory_span, keyword_init: true)

    Comparison = Struct.new(:score, :distance, :differences, keyword_init: true)

    module Score
      module_function

      # Content → array of Unit. Text is compared in NFC.
      def units(content)
        content =
          Content.new(
            content.items.map { |item| item.is_a?(String) ? nfc(item) : item }
          ).renumber if content.coded?
        words = []
        Counting::Tokens.each(nfc(content.text)) do |text, kind, from, to|
          words << Unit.new(text, kind, from, to, WEIGHTS[kind])
        end
        return words unless content.coded?

        offset = 0
        codes =
          content.items.filter_map do |item|
            start = offset
            offset += item.is_a?(String) ? item.length : item.equiv.to_s.length
            Unit.new(item.written, :code, start, start, WEIGHTS[:code]) if item.is_a?(Code)
          end
        merge(words, codes)
      end

      def nfc(text) = text.ascii_only? ? text : text.unicode_normalize(:nfc)

      # a: content of today's source; b: content of the memory's source, or units of either. Pure and
      # symmetric. floor: when the score is lower, nil is given instead, and sooner.
      #   score = floor(100 × (1 − d / max(weight a, weight b)) + 1e-9), never below 0, at most 99 unless text
      #   and codes are the same
      def compare(a, b, floor: 0, units_of_a: nil, units_of_b: nil)
        left, right = units_of_a || unit_list(a), units_of_b || unit_list(b)
        weights = weight(left), weight(right)
        total = weights.max
        # What one text has more than the other is lost whatever the words.
        return if floor.positive? && total - weights.min > (total * (100 - floor) / 100.0) + 1e-6

        distance, differences = difference(left, right, (total * (100 - floor) / 100.0) + 1e-6)
        return unless distance

        score = total.zero? ? 100 : ((100 * (1 - (distance / total))) + 1e-9).floor
        score = score.clamp(0, score < 99 || !same?(a, b, left, right) ? 99 : 100)
        return if score < floor

        Comparison.new(score: score, distance: distance.round(6), differences: differences)
      end

      # Longer lists are compared piece by piece, so that long texts take no more time than
      # their length: never less than the true distance.
      LONGEST = 600

      # [distance, differences] of two lists of units; nil when the distance is more than the limit.
      def difference(left, right, limit)
        # What begins and ends alike costs nothing and need not be worked out.
        head, tail = alike(left, right)
        starts = [left, right].map { |list| head.positive? ? [list[head - 1].to] * 2 : [0, 0] }
        distance = 0.0
        inner = [left, right].map { |list| list[head, list.size - head - tail] }
        differences =
          pieces(*inner).flat_map do |one, other|
            table = distances(one, other, limit - distance) or return nil
            distance += table[one.size][other.size]
            found = trace(table, one, other, starts)
            starts = [one, other].zip(starts).map { |list, start| list.empty? ? start : [list.last.to] * 2 }
            found
          end
        [distance, differences]
      end
      private_class_method :difference

      def pieces(left, right)
        count = [1, ([left.size, right.size].max / LONGEST.to_f).ceil].max
        cut = ->(list, i) { list[(list.size * i / count)...(list.size * (i + 1) / count)] }
        Array.new(count) { |i| [cut[left, i], cut[right, i]] }
      end
      private_class_method :pieces

      # How many units two lists have alike at the start, and of the rest at the end.
      def alike(left, right)
        shorter, head, tail = [left.size, right.size].min, 0, 0
        head += 1 while head < shorter && left[head].text == right[head].text &&
            left[head].kind == right[head].kind
        tail += 1 while tail < shorter - head && left[-1 - tail].text == right[-1 - tail].text &&
            left[-1 - tail].kind == right[-1 - tail].kind
        [head, tail]
      end
      private_class_method :alike

      def weight(units) = units.sum(&:weight)

      # The same after NFC and white-space folding, codes in the same order and of the same kind.
      def fold(content)
        content.renumber.written.unicode_normalize(:nfc).gsub(/[[:space:]]+/, " ").strip
      end

      # A text that is itself what makes two sources the same.
      FOLDED = /\A[!-~]+(?: [!-~]+)*\z/

      # A digest (40 hexadecimal digits) of what makes two sources the same: the folded content. Of a text
      # without codes, the text will do.
      def identity(content)
        text =
          (
            if content.is_a?(String) && content.match?(FOLDED)
              content
            else
              fold(content.is_a?(String) ? Content.text(content) : content)
            end
          )
        Digest::SHA1.hexdigest(text)
      end

      # Cost of turning one unit into another.
      def replacement(one, other)
        return 0.0 if one.kind == other.kind && one.text == other.text

        unless one.kind == :word && other.kind == :word
          return one.weight > other.weight ? one.weight : other.weight
        end

        1.0 - similarity(one.text, other.text)
      end

      # The same few words meet again and again in a lookup, so what was found is kept for a while.
      REMEMBERED = 20_000

      # 0.9 for the same word in another case; else the share of equal letters where it is at least 0.6.
      def similarity(one, other) = (remembered[one] ||= {})[other] ||= measure(one, other)

      def remembered
        memo = Thread.current[:glossema_similarity] ||= {}
        memo.clear if memo.size > REMEMBERED
        memo
      end
      private_class_method :remembered

      # The share of letters two texts have alike, 0 to 1.
      def spelling(one, other)
        longer = [one.length, other.length].max
        longer.zero? ? 1.0 : 1 - (DamerauLevenshtein.distance(one, other, 0).to_f / longer)
      end

      # In characters; what is longer is no word whose letters are compared.
      LONGEST_WORD = 200

      def measure(one, other)
        return 0.9 if one.downcase == other.downcase

        longer = [one.length, other.length].max
        return 0.0 if longer > LONGEST_WORD || (one.length - other.length).abs > longer * 0.4

        share = spelling(one, other)
        share >= 0.6 ? share : 0.0
      end
      private_class_method :measure

      def unit_list(value) = value.is_a?(Content) ? units(value) : value
      private_class_method :unit_list

      def same?(one, other, left, right)
        return fold(one) == fold(other) if one.is_a?(Content) && other.is_a?(Content)

        left.map(&:text) == right.map(&:text)
      end
      private_class_method :same?

      def merge(words, codes)
        (
          words.map.with_index { |unit, i| [[unit.from, 1, i], unit] } +
            codes.map.with_index { |unit, i| [[unit.from, 0, i], unit] }
        ).sort_by(&:first).map(&:last)
      end
      private_class_method :merge

      # The rows of the edit distance; nil as soon as no way through stays within the limit. Cells that cannot
      # be on such a way, one text being too far ahead of the other there, are not worked out.
      def distances(left, right, limit)
        texts, kinds, weights = right.map(&:text), right.map(&:kind), right.map(&:weight)
        sums = [0.0]
        weights.each { |weight| sums << (sums.last + weight) }
        table, memo, at, size = [sums], remembered, 0.0, right.size
        left.each do |one|
          text, kind, weight, above = one.text, one.kind, one.weight, table.last
          known = kind == :word ? (memo[text] ||= {}) : nil
          at += weight
          last = least = above[0] + weight
          row, j = [last], 0
          while j < size
            ahead = at - sums[j + 1]
            if ahead > limit || -ahead > limit
              last = Float::INFINITY
            else
              best = above[j]
              unless kind == kinds[j] && text == texts[j]
                best +=
                  if known && kinds[j] == :word
                    1.0 - (known[texts[j]] ||= measure(text, texts[j]))
                  else
                    weight > weights[j] ? weight : weights[j]
                  end
              end
              deleted = above[j + 1] + weight
              best = deleted if deleted < best
              inserted = last + weights[j]
              last = inserted < best ? inserted : best
              least = last if last < least
            end
            row << last
            j += 1
          end
          return nil if least > limit

          table << row
        end
        table
      end
      private_class_method :distances

      # starts: the places in the two texts at which the lists begin, for what stands on one side only.
      def trace(table, left, right, starts)
        i, j, steps = left.size, right.size, []
        spot = ->(units, index) do
          next [units[index - 1].to] * 2 if index.positive?

          starts[units.equal?(left) ? 0 : 1]
        end
        while i.positive? || j.positive?
          here, one, other = table[i][j], left[i - 1], right[j - 1]
          if i.positive? && j.positive? && (cost = replacement(one, other)) &&
              (table[i - 1][j - 1] + cost - here).abs < 1e-9
            steps << ["replace", one, other, [one.from, one.to], [other.from, other.to]] if cost.positive?
            i, j = i - 1, j - 1
          elsif i.positive? && (table[i - 1][j] + one.weight - here).abs < 1e-9
            steps << ["insert", one, nil, [one.from, one.to], spot.call(right, j)]
            i -= 1
          else
            steps << ["delete", nil, other, spot.call(left, i), [other.from, other.to]]
            j -= 1
          end
        end
        steps.reverse.map do |op, one, other, source_span, memory_span|
          Difference.new(
            op: op,
            source: one&.text,
            memory: other&.text,
            source_span: source_span,
            memory_span: memory_span
          )
        end
      end
      private_class_method :trace
    end
  end
end
