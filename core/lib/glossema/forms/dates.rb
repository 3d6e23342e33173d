# How languages write dates: names of months and days, and the order of the parts, after CLDR.
module Glossema
  module Forms
    module Dates
      # A name found: of what ("months" or "days"), which one, and in which list of names (width) it stands.
      Name = Struct.new(:of, :which, :list)
      WIDTHS = [
        %i[format wide],
        %i[format abbreviated],
        %i[stand-alone wide],
        %i[stand-alone abbreviated]
      ].freeze
      # Three numbers are a date when one of them is a year or slashes part them.
      PARTS =
        %r{\A(?:\d{1,2}([.-])\d{1,2}\1\d{4}|\d{4}([./-])\d{1,2}\2\d{1,2}|\d{1,2}/\d{1,2}/(?:\d{4}|\d\d))\z}

      module_function

      # Loads what is known of languages, so that the first text does not wait for it.
      def prepare(*tags) = tags.each { |tag| names(tag) }

      # What a language is called in English and by itself.
      def names_of_language(tag)
        require "twitter_cldr"
        primary = Languages.primary(tag).to_sym
        [:en, primary].uniq.filter_map do |locale|
          TwitterCldr.supported_locale?(locale) &&
            TwitterCldr.get_locale_resource(locale, :languages)[locale][:languages][primary]
        end
      end

      # A word and a language tag → Name, or nil where it is no name of a month or day there. What may be both
      # is a month.
      def name(word, tag) = names(tag)[fold(word)]

      # The name of a month or day in a language, in the list of names that `like` is of, its first letter as
      # in `word`.
      def written(which, like, tag, word)
        text = calendar(tag).dig(like.of, *like.list, which)
        word.match?(/\A\p{Lu}/) ? text.sub(/\A./, &:upcase) : text
      end

      # All names of months or days (of) of a language, as they are written, without the single letters.
      def words(tag, of)
        WIDTHS.flat_map { |list| calendar(tag).dig(of, *list).to_h.values }
          .flat_map { |text| [text, text.delete_suffix(".")] }
          .select { |text| text.length > 2 || text.match?(/[^\p{Latin}]/) }.uniq
      end

      # The name of a month or day by its number in CLDR's lists.
      def named(of, width, which, tag, form: :format)
        calendar(tag).dig(of, form, width, which) || calendar(tag).dig(of, :format, width, which)
      end

      # The places of day, month and year in a numeric date: [1, 0, 2] for American English.
      def order(tag)
        letters = calendar(tag).dig(:formats, :date, :short, :pattern).to_s.scan(/[dMy]/).uniq
        order = %w[d M y].map { |letter| letters.index(letter) }
        order.all? ? order : [0, 1, 2]
      end

      # A date in digits in the form of another language, nil where it is none: from en-US to it "5/12/2026" →
      # "12/05/2026". A year of four digits stays one.
      def short(text, source, target)
        return unless text.match?(PARTS)
        return text if text.match?(/\A\d{4}/)

        numbers = text.scan(/\d+/)
        parts = order(source).zip(%i[day month year]).to_h { |place, part| [part, numbers[place]] }
        return unless date?(parts)

        pattern = Patterns.date(target, :short) || "dd/MM/y"
        pattern.gsub(/d+|M+|y+/) do |letters|
          case letters[0]
          when "d" then parts[:day].to_i.to_s.rjust(letters.length, "0")
          when "M" then parts[:month].to_i.to_s.rjust(letters.length, "0")
          else parts[:year]
          end
        end
      end

      # A date in digits: old as it stands in a text, there as it stands in the translation of that text → the
      # new one as it would stand there, nil where the two are not the same date. tags: of source and target.
      def moved(old, there, new, tags)
        return unless [old, there, new].all? { |text| text.match?(PARTS) }

        olds, theres, news = [old, there, new].map { |text| text.scan(/\d+/) }
        ways =
          [0, 1, 2].permutation.select do |way|
            way.each_with_index.all? { |from, to| same?(olds[from], theres[to]) }
          end
        usual = order(tags[0]).zip(order(tags[1])).sort_by(&:last).map(&:first)
        way = ways.find { |one| one == usual } || ways.min or return
        padded =
          theres.any? { |part| part.start_with?("0") } ||
          (news.any? { |part| part.start_with?("0") } && theres.none? { |part| part.length == 1 })
        mark = there[/[^\d]/]
        way.each_with_index.map { |from, to| part(news[from], theres[to], padded) }.join(mark)
      end

      def date?(parts) =
        parts[:year].length != 3 && (1..12).cover?(parts[:month].to_i) && (1..31).cover?(parts[:day].to_i)
      private_class_method :date?

      def same?(one, other) =
        one.to_i == other.to_i || (one.length == 2 && other.length == 4 && one == other[2..]) ||
          (one.length == 4 && other.length == 2 && other == one[2..])
      private_class_method :same?

      def part(digits, there, padded)
        return there.length == 2 ? digits[2..] : digits if digits.length == 4

        padded ? digits.rjust(2, "0") : digits.sub(/\A0(?=.)/, "")
      end
      private_class_method :part

      def names(tag)
        (@names ||= {})[tag] ||= %i[days months]
          .product([tag.to_s[/\A[a-z]+/i], tag], WIDTHS.reverse)
          .each_with_object({}) do |(of, one, list), found|
            calendar(one)
              .dig(of, *list)
              .to_h
              .each { |which, text| found[fold(text)] = Name.new(of, which, list) }
          end
      end
      private_class_method :names

      def fold(word) = word.downcase.delete_suffix(".")
      private_class_method :fold

      # What CLDR says of a language's dates; of one it does not know, nothing.
      def calendar(tag) = Patterns.fetch(tag, :calendars).fetch(:gregorian, {})
      private_class_method :calendar
    end
  end
end
