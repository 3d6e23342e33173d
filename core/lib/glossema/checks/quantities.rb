# Numbers, dates and times of a source and its translation, by value: what is the same in both is paired, in
# whatever form; what is left has been lost, put in or changed. What a language would write otherwise is known
# from Forms; other readings of the marks are allowed, and told apart as forms.
module Glossema
  module Checks
    class Quantities
      # A number as it stands: from…to in its text, its digits and marks as written; apart: is it no part of a
      # word or a code?
      Number = Struct.new(:from, :to, :text, :apart)
      DIGITS = /\p{Nd}+(?:[.,'’\u00A0\u202F\u2009٫٬](?=\p{Nd})\p{Nd}+)*/
      # Figures inside words and codes are no numbers of their own.
      # Scripts that set no spaces are another affair.
      LETTER = /#{Languages::SPACED_LETTER}/
      # 7x9 are two numbers.
      TIMES = /[x×]/
      # Letters behind a number that may be a unit.
      UNIT = /\A\p{L}{1,3}(?![\p{L}\p{N}])/
      ORDINAL = /\A(?:st|nd|rd|th|e|er|ère|re|º|ª|°|ste|de|te|ter|tes|ten|eme|ème|-\p{L}+)(?!\p{L})/i

      # What makes a number tell a place in a row.
      COUNTED = /\A(?:\.[ \u00A0]\p{L}|#{ORDINAL})/i
      SMALL_DIGITS = "⁰¹²³⁴⁵⁶⁷⁸⁹".freeze

      # lost: Numbers of the source not in the target; added: those of the target not in the source;
      # misformed: [[Number of the source, Number of the target, how its language writes it] …].
      attr_reader :lost, :added, :misformed

      def initialize(pair)
        @pair = pair
        @source, @target = [pair.from, pair.into].map { |text| numbers(text) }
        @misformed = []
        take_forms
        take_times
        take_values
        take_parts
        words
        @lost, @added = counting
      end

      private

      def numbers(text)
        return [] unless text.match?(/\p{Nd}/)

        bare = Placeholders.masked(text)
        # Places in bytes are the same in both but where the name of a placeholder is not ASCII.
        around = bare.bytesize == text.bytesize ? text : bare
        found = []
        Offsets.each(bare, DIGITS) do |digits, from, to, scanner|
          found << Number.new(from, to, digits, apart?(around, scanner.pos - digits.bytesize, scanner.pos))
        end
        found
      end

      # What stands around a number, in bytes.
      AROUND = 80

      # from, to: in bytes.
      def apart?(text, from, to)
        start = [from - AROUND, 0].max
        before, after = [[start, from - start], [to, AROUND]].map { |place| text.byteslice(*place).scrub("") }
        return true if before.match?(/\d#{TIMES}\z/o) || after.match?(/\A#{TIMES}\d/o)
        return false if before[-1]&.match?(LETTER)

        !after.match?(/\A#{LETTER}/o) || after.match?(ORDINAL) || after.match?(UNIT)
      end

      # What has another form in the target language (dates, times, amounts) and stands there in it.
      def take_forms
        return if @source.empty?

        rest, places = @pair.into.dup, Hash.new(0)
        Forms::Carried.in(@pair.from, @pair.source_lang, @pair.target_lang).each do |one|
          at = rest.index(/(?<![\p{Nd}]|\p{Nd}[.,])#{Regexp.escape(one.target)}(?!\p{Nd}|[.,]\p{Nd})/,
            places[one.target]) or next
          places[one.target] = at
          rest[at, one.target.length] = "\u0000" * one.target.length
          take(@source, one.from, one.to)
          take(@target, at, at + one.target.length)
        end
      end

      # The numbers stand in their order.
      def take(list, from, to)
        at = list.bsearch_index { |number| number.from >= from } or return
        list.delete_at(at) while list[at] && list[at].to <= to
      end

      # Times of day that are the same by the clock of twelve hours and that of twenty-four: 5:30 p.m. and
      # 17.30, 3 pm and 15.
      def take_times
        halves = [@pair.from, @pair.into].map { |text| text.match?(ClockTime::HALF) }
        return unless halves.any?

        there = ClockTime.all(@pair.into)
        ClockTime.all(@pair.from).each do |time|
          other = there.find { |one| time.same?(one, *halves) } or next
          there.delete(other)
          take(@source, time.from, time.to)
          take(@target, other.from, other.to)
        end
      end

      # Of the same value, in the form of its language first.
      def take_values
        [false, true].each do |loosely|
          there, used = by_value(loosely), Set.new.compare_by_identity
          @source.reject! do |number|
            values = readings(number.text, @pair.source_lang, loosely)
            other = first_of(there, values, number.apart,
              used) || first_of(there, values, !number.apart, used)
            note_form(number, other) if other && loosely
            used << other if other
          end
          @target.reject! { |number| used.include?(number) }
        end
      end

      # The first of the numbers of these values that is not used yet.
      def first_of(there, values, apart, used)
        lists = values.filter_map { |value| there[[value, apart]] }
        lists.each { |list| list.shift while list.any? && used.include?(list.first) }
        lists.filter_map(&:first).min_by(&:from)
      end

      # {[value, does it stand by itself?] => numbers of the target that can have it}
      def by_value(loosely)
        @target.each_with_object({}) do |number, found|
          readings(number.text, @pair.target_lang, loosely).each do |value|
            (found[[value, number.apart]] ||= []) << number
          end
        end
      end

      # Values a number can have: by the marks of its language, or by any.
      def readings(text, lang, loosely)
        plain = text.tr("٠-٩۰-۹०-९０-９", "0-90-90-90-9")
        decimal, grouping = Forms::Numbers.marks(lang)
        strict = value(plain, decimal, grouping)
        return [strict].compact.to_set unless loosely

        [strict, value(plain, ".", ","), value(plain, ",", "."), plain.gsub(/\D/, "").sub(/\A0+(?=\d)/, "")]
          .compact.to_set
      end

      def value(text, decimal, grouping)
        whole, part = text.split(decimal, 2)
        return if part&.match?(/\D/)

        groups = whole.split(/[#{Regexp.escape(grouping)}\u00A0\u202F\u2009'’ ]/)
        return unless groups.all?(/\A\d+\z/) && groups.drop(1).all? { |group| group.size.between?(2, 3) }

        [groups.join.sub(/\A0+(?=\d)/, ""), part.to_s.sub(/0+\z/, "")].reject(&:empty?).join(".")
      end

      # Only where the marks are wrong for certain: where the language would write the same value otherwise.
      def note_form(number, other)
        wanted = Forms::Numbers.convert(number.text, @pair.source_lang, @pair.target_lang)
        same_marks = wanted.gsub(/[\u00A0\u202F\u2009]/, " ") == other.text.gsub(/[\u00A0\u202F\u2009]/, " ")
        return if same_marks || !number.text.match?(/[.,]/) || !other.text.match?(/[.,]/)
        return if named?(@pair.from, number) || named?(@pair.into, other) || same_name?(number, other)

        @misformed << [number, other, wanted]
      end

      # Versions of a thing that is called by its name, and what stands in code, have no form of a language.
      NAMED = /(?:(?<=[\p{L},(] )\p{Lu}[\p{L}\p{N}_.]*|[%$][\p{L}\p{N}_.]*|
                \p{L}+\.\p{L}+|[Vv]ersi[oe]n?e?|\bv)[ \u00A0]?\z/x
      IN_CODE = /[=("'<;:\[]\s?\z/

      def named?(text, number)
        before = text[0...number.from]
        before.match?(NAMED) || before.match?(IN_CODE) || before.count("<") > before.count(">") ||
          text.strip == number.text
      end

      # A word with a capital before it that is the same in both: a thing with its version.
      def same_name?(number, other)
        name = @pair.from[0...number.from][/\p{Lu}[\p{L}\p{N}]*[ \u00A0]\z/]
        !name.nil? && @pair.into[0...other.from].end_with?(name)
      end

      # Dates and versions put together otherwise: 12/31/2026 and 31-12-2026, 3.1.2 and 3.1.2.
      def take_parts
        return if @source.empty? || @target.empty?

        @source.reject! do |number|
          parts = number.text.scan(/\p{Nd}+/)
          next if parts.size < 2

          found = parts.map { |part| @target.find { |one| one.text.to_i.to_s == part.to_i.to_s } }
          found.all? && found.each { |one| @target.delete(one) }
        end
      end

      # Small numbers may be words on either side, or stand small and high as exponents.
      def words
        take_words(@source, @pair.from, @pair.into, @pair.target_language)
        take_words(@target, @pair.into, @pair.from, @pair.source_language)
        @target.reject! { |one| NumberWords.implied?(one.text, @pair.from, @pair.source_language) }
      end

      # text: in which the numbers of the list stand; other: in which they may be words.
      def take_words(list, text, other, language)
        left = Hash.new do |all, (number, ordinal)|
          all[[number, ordinal]] = NumberWords.count(number, other, language, ordinal: ordinal)
        end
        list.reject! do |one|
          next unless one.apart && one.text.match?(/\A\d{1,2}\z/)
          next true if other.include?(one.text.tr("0-9", SMALL_DIGITS))

          asked = [one.text.to_i, text[one.to..].match?(COUNTED)]
          left[asked] -= 1 if left[asked].positive?
        end
      end

      # [lost, added]: those that stand apart; parts of words only where one took the place of another.
      def counting
        lost, added = [@source, @target].map { |list| list.select(&:apart) }
        return [lost, added] if lost.any? || added.any?

        @source.size == 1 && @target.size == 1 ? [@source, @target] : [[], []]
      end
    end
  end
end
