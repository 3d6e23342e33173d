# Dates with the name of a month, found in texts of one language and written in another: "12 May 2026" →
# "12 de mayo de 2026" (CLDR's long patterns and skeletons).
module Glossema
  module Forms
    class LongDates
      ORDINAL = "(?:st|nd|rd|th|\\.|º|°|er)?".freeze
      LINK = "(?:\\s+(?:of|de|di))?".freeze
      # Parts that are there → [CLDR's date width or skeleton, …].
      SKELETONS = {
        %i[day month year] => { wide: %i[long date], abbreviated: %i[yMMMd skeleton] },
        %i[weekday day month year] => { wide: %i[full date], abbreviated: %i[yMMMEd skeleton] },
        %i[day month] => { wide: %i[MMMMd skeleton], abbreviated: %i[MMMd skeleton] },
        %i[month year] => { wide: %i[yMMMM skeleton], abbreviated: %i[yMMM skeleton] }
      }.freeze

      # What was found: weekday, day, month and year as numbers or nil; width: of the month's name.
      Found = Struct.new(:from, :to, :weekday, :day, :month, :year, :width, keyword_init: true)

      @known = {}
      def self.in(tag) = @known[tag] ||= new(tag)

      def initialize(tag)
        @tag = tag
        months, days = %i[months days].map { |of| Dates.words(tag, of) }
        @patterns = months.empty? ? [] : patterns(union(months), union(days))
      end

      # The first date in a text from a place on, as Found, or nil.
      def first(text, from)
        found = @patterns.filter_map { |pattern| pattern.match(text, from) }
        match = found.min_by { |one| [one.begin(0), -one.end(0)] } or return
        read(match)
      end

      # The date in the form of this language.
      def written(date)
        parts = %i[weekday day month year].select { |part| date[part] }
        parts.shift if parts == %i[weekday day month]
        name, kind = SKELETONS.fetch(parts).fetch(date.width)
        pattern = kind == :date ? Patterns.date(@tag, name) : Patterns.skeleton(@tag, name)
        return unless pattern

        filled(pattern, date)
      end

      private

      # The longest first, as one name may begin with another.
      def union(words) = Regexp.union(words.sort_by { |word| -word.length })

      def patterns(month, day)
        weekday = "(?:(?<weekday>#{day}),?\\s+)?"
        number = "(?<day>\\d{1,2})"
        year = "(?<year>\\d{4})"
        year_after = "(?:(?:,|#{LINK})\\s+#{year})?"
        [
          /(?<![\p{L}\d])#{weekday}#{number}#{ORDINAL}#{LINK}\s+(?<month>#{month})#{year_after}(?!\p{L})/,
          /(?<![\p{L}\d])#{weekday}(?<month>#{month})\s+#{number}#{ORDINAL}(?:,?\s+#{year})?(?![\p{L}\d])/,
          /(?<![\p{L}\d])(?<month>#{month})#{LINK}\s+#{year}(?![\p{L}\d])/
        ]
      end

      def read(match)
        said = match.named_captures
        month = Dates.name(said["month"], @tag)
        Found.new(
          from: match.begin(0), to: match.end(0),
          weekday: said["weekday"] && Dates.name(said["weekday"], @tag)&.which,
          day: said["day"]&.to_i, month: month.which, year: said["year"]&.to_i,
          width: month.list.last == :wide ? :wide : :abbreviated
        )
      end

      def filled(pattern, date)
        pattern.gsub(/'([^']*)'|E{1,4}|[ML]{3,4}|d{1,2}|y{1,4}/) do |part|
          next Regexp.last_match(1) if part.start_with?("'")

          case part[0]
          when "E" then Dates.named(:days, part.length == 4 ? :wide : :abbreviated, date.weekday, @tag)
          when "M", "L" then month(part, date)
          when "d" then day(date)
          else date.year.to_s
          end
        end
      end

      def month(part, date)
        form = part.start_with?("L") ? :"stand-alone" : :format
        Dates.named(:months, part.length == 4 ? :wide : :abbreviated, date.month, @tag, form: form)
      end

      # French says "1er mai".
      def day(date) = date.day == 1 && Languages.primary(@tag) == "fr" ? "1er" : date.day.to_s
    end
  end
end
