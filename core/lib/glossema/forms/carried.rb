# What is carried over from a source into its translation in the target language's form: numbers, dates,
# times, units, ranges, money, links, addresses and codes, in the order in which they stand.
require "yaml"

module Glossema
  module Forms
    # One thing: from…to is its place in the source text; kind: see Carried::KINDS; target: its text in the
    # form of the target language.
    Carry = Struct.new(:from, :to, :kind, :source, :target) do
      # Numbers up to twelve are often written as words.
      def may_be_word? = kind == "number" && source.match?(/\A(?:[0-9]|1[0-2])\z/)
    end

    class Carried
      KINDS = %w[link address date time range unit money number code].freeze
      SPACE = "[ \\u00A0\\u202F\\u2009]".freeze
      # A number with its marks, as any language may write it.
      NUMBER = "\\p{Nd}+(?:[.,'’\\u00A0\\u202F\\u2009](?=\\p{Nd}{1,3})\\p{Nd}+)*".freeze
      LETTER = Languages::SPACED_LETTER
      NOT_BEHIND = "(?<!#{LETTER})(?<!\\p{Nd})".freeze
      UNITS = YAML.load_file(File.join(ROOT, "data/forms/units.yml")).freeze
      UNIT = "(?:#{UNITS.keys.sort_by { |unit|
        -unit.length
      }.map { |unit| Regexp.escape(unit) }.join("|")})".freeze
      # After a unit no letter follows, nor what would make it another one.
      END_OF_UNIT = "(?!#{LETTER}|[\\p{Nd}²³/])".freeze
      LINK = /#{Counting::Tokens::ADDRESS}/
      ISO = /#{NOT_BEHIND}(?<!-)\d{4}-\d{2}-\d{2}(?![\p{Nd}-])/
      DATE = %r{#{NOT_BEHIND}(?<![.,/-])\d{1,4}([./-])\d{1,2}\1\d{1,4}(?![\p{Nd}]|[.,/-]\p{Nd})}
      TIME = /(?<![\p{Nd}.,:])(?<hour>[01]?\d|2[0-4])[:.](?<minute>[0-5]\d)(?::(?<second>[0-5]\d))?
              (?:#{SPACE}?(?<half>[ap]\.?#{SPACE}?m\b\.?))?(?![\p{Nd}:]|[.,]\p{Nd})/xi
      TWELVE = /(?<![\p{Nd}.,:])(?<hour>1[0-2]|[1-9])#{SPACE}?(?<half>[ap]\.?m\b\.?)/i
      CURRENCY = "(?:€|£|¥|\\$|US\\$|CHF|EUR|USD|GBP)".freeze
      MONEY = /#{NOT_BEHIND}(?:(?<before>#{CURRENCY})#{SPACE}?(?<amount>#{NUMBER})|
               (?<amount>#{NUMBER})#{SPACE}?(?<after>#{CURRENCY})(?!#{LETTER}))/x
      RANGE = /#{NOT_BEHIND}(?<![–-])(?<low>[-−]?#{NUMBER})#{SPACE}?[–-]#{SPACE}?(?<high>#{NUMBER})
               (?:(?<gap>#{SPACE}?)(?<unit>#{UNIT})#{END_OF_UNIT})?(?![\p{Nd}]|[–-][\p{L}\p{Nd}])/x
      WITH_UNIT = /#{NOT_BEHIND}(?<number>[-−+]?#{NUMBER})(?<gap>#{SPACE}?)(?<unit>#{UNIT})#{END_OF_UNIT}/
      # Letters and digits in one word, but for ordinals: A2, TRN-2614, EN15194, v2.1.
      CODE = %r{(?<![\p{L}\p{Nd}])(?!\d+(?:st|nd|rd|th|e|er|ère|º|ª)\b)
                (?=[\p{L}\p{Nd}_./-]*\p{Nd})(?=[\p{L}\p{Nd}_./-]*\p{L})
                [\p{L}\p{Nd}]+(?:[_./-][\p{L}\p{Nd}]+)*}x
      PHONE = %r{(?<![\p{L}\p{Nd}])\+\p{Nd}[\p{Nd} ()/-]{5,}\p{Nd}}
      PLAIN = %r{(?<![\p{L}\p{Nd}])(?:(?<=[\s(]|\A)[-−+])?#{NUMBER}(?:[:/.]\p{Nd}+)*(?![\p{L}])}
      ORDINAL = /(?<![\p{L}\p{Nd}])\p{Nd}+(?=(?:st|nd|rd|th)\b)/

      # Longer texts are looked at in blocks.
      BLOCK = 2_000

      # text of the source; languages: tags. Returns [Carry …] in order; what overlaps is taken once, as the
      # kind that comes first.
      def self.in(text, source_lang, target_lang) = new(source_lang, target_lang).in(text)

      # carried: as `in` answers it; target: the translation so far. Returns those of it that are still to
      # come, in order; what stands there twice counts twice.
      def self.still_to_come(carried, target)
        rest = target.dup
        carried.reject { |one| rest.sub!(one.target) { " " } }
      end

      def initialize(source_lang, target_lang)
        @source, @target = source_lang, target_lang
      end

      def in(text)
        return [] unless text.match?(/[\p{Nd}@]|:\/\/|www\./)
        return in_block(text) if text.length <= BLOCK

        at = 0
        Offsets.pieces(text, borders(text)).flat_map do |piece|
          found = in_block(piece).each { |one| one.from, one.to = one.from + at, one.to + at }
          at += piece.length
          found
        end
      end

      private

      def in_block(text)
        @text, @found, @covered = text, [], "0" * text.length
        each_way { |kind, from, to, target| take(kind, from, to, target) }
        @found.sort_by(&:from)
      end

      # Places behind white space, about a block apart.
      def borders(text)
        at, places = 0, []
        Offsets.each(text, /\s/) { |_, _, to| places << (at = to) if to - at >= BLOCK }
        places
      end

      # Yields all that might be, what is surest first.
      def each_way(&block)
        links(&block)
        phones(&block)
        long_dates(&block)
        short_dates(&block)
        money(&block)
        times(&block)
        units(&block)
        ranges(&block)
        codes(&block)
        numbers(&block)
      end

      def take(kind, from, to, target)
        return if target.nil? || @covered[from...to].include?("1")

        @covered[from...to] = "1" * (to - from)
        @found << Carry.new(from, to, kind, @text[from...to], target)
      end

      def scan(pattern)
        at = 0
        while at <= @text.length && (match = pattern.match(@text, at))
          yield match
          at = [match.end(0), match.begin(0) + 1].max
        end
      end

      def links
        scan(LINK) { |match| yield match[0].include?("@") ? "address" : "link", *match.offset(0), match[0] }
      end

      def phones
        scan(PHONE) { |match| yield "code", *match.offset(0), match[0] }
      end

      def long_dates
        at = 0
        while (date = LongDates.in(@source).first(@text, at))
          yield "date", date.from, date.to, LongDates.in(@target).written(date)
          at = date.to
        end
      end

      # A date that begins with its year is the same everywhere.
      def short_dates
        scan(ISO) { |match| yield "date", *match.offset(0), match[0] }
        scan(DATE) { |match| yield "date", *match.offset(0), Dates.short(match[0], @source, @target) }
      end

      def times
        scan(TIME) do |match|
          # With a dot it is a number unless it says which half of the day, or its language writes times so.
          next if match[0].match?(/\A\d+\.\d+/) && match[:half].nil? && !Patterns.time(@source).include?(".")

          yield "time", *match.offset(0), Times.written(match, @source, @target)
        end
        scan(TWELVE) { |match| yield "time", *match.offset(0), Times.written(match, @source, @target) }
      end

      def money
        scan(MONEY) do |match|
          yield "money", *match.offset(0), Units.money(match[:before] || match[:after],
            number(match[:amount]), @target)
        end
      end

      def ranges
        scan(RANGE) do |match|
          next if match[:low].match?(/\A0\d/)

          unit = match[:unit] ? Units.joined("", match[:gap], match[:unit], @target) : ""
          low, high = [match[:low], match[:high]].map { |one| number(one) }
          yield "range", *match.offset(0), "#{low}#{Units.dash(@target)}#{high}#{unit}"
        end
      end

      def units
        scan(WITH_UNIT) do |match|
          # The end of a range belongs to it.
          next if match.pre_match.match?(/\p{Nd}#{SPACE}?[–-]#{SPACE}?\z/) || range_before?(match)

          yield "unit", *match.offset(0), Units.joined(number(match[:number]), match[:gap], match[:unit],
            @target)
        end
      end

      def range_before?(match) =
        match[:number].match?(/\A[-−+]/) && match.pre_match.match?(/\p{Nd}\z/)

      def codes
        scan(CODE) { |match| yield "code", *match.offset(0), match[0] }
      end

      def numbers
        scan(ORDINAL) { |match| yield "number", *match.offset(0), match[0] }
        scan(PLAIN) { |match| yield "number", *match.offset(0), number(match[0]) }
      end

      def number(text)
        sign = text[/\A[-−+]/].to_s
        sign + Numbers.convert(text.delete_prefix(sign), @source, @target)
      end
    end
  end
end
