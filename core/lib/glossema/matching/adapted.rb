# Matches that differ from today's source in numbers, dates, links and codes alone: those are put into the
# stored translation.
module Glossema
  module Matching
    class Adapted
      ADDRESS = /\A(?:#{Counting::Tokens::ADDRESS})\z/

      # One change made: from…to is the place of the new text in the target's text, was the old text.
      Change = Struct.new(:from, :to, :was, keyword_init: true)

      # The units of two texts in a language, alike but for what can be adapted? Codes count nothing.
      def self.alike?(one, other, lang)
        one, other =
          [one, other].map do |units|
            units.any? { |unit| unit.kind == :code } ? units.reject { |unit| unit.kind == :code } : units
          end
        one.size == other.size &&
          one.each_with_index.all? { |unit, index| same_place?(unit, other[index], lang) }
      end

      def self.same_place?(unit, other, lang)
        return true if unit.text == other.text
        return false unless unit.kind == other.kind
        return unit.kind == :number unless unit.kind == :word

        address = [unit, other].map { |one| one.text.match?(/[.@]/) && one.text.match?(ADDRESS) }
        address.any? ? address.all? : dated?(unit.text, other.text, lang)
      end
      private_class_method :same_place?

      # Two names of months, or of days?
      def self.dated?(one, other, lang)
        names = [one, other].map { |text| Forms::Dates.name(text, lang) }
        names.all? && names[0].of == names[1].of
      end
      private_class_method :dated?

      # query, stored: units of today's source and of the memory's, alike; target: Content of the stored
      # translation; languages: [source tag, target tag]; term: [from, to, text] of a term to be put into the
      # translation, or nil. Returns [Content, [Change, …]], or nil when the old text is not in the
      # translation as often as in its source.
      def self.target(query, stored, target, languages, term: nil)
        new(query, stored, target, languages, term).result
      end

      def initialize(query, stored, target, languages, term = nil)
        @term =
          term && [Counting::Token.new(target.text[term[0]...term[1]], :word, term[0], term[1]), term[2]]
        @pairs =
          [stored, query].map { |units| units.reject { |unit| unit.kind == :code || unit.kind == :mark } }
            .transpose
        @target, @languages = target, languages
        @tokens = Counting::Tokens.tokenize(target.text)
      end

      def result
        changes =
          @pairs.each_with_index.filter_map do |(old, new), index|
            next if old.text == new.text

            token = counterpart(old, index) or return nil
            [token, form(new.text, old.text, token.text)]
          end
        changes << @term if @term
        changes.sort_by! { |token, _| token.from }
        put(changes) unless changes.each_cons(2).any? { |(one, _), (other, _)| one.to > other.from }
      end

      private

      # The place in the translation of the old text: the same occurrence of it there as in the source.
      def counterpart(old, index)
        twins = @pairs.each_index.select { |other| same?(@pairs[other].first.text, old.text) }
        places = @tokens.select { |token| there?(old.text, token.text) }
        places[twins.index(index)] if places.size == twins.size
      end

      # Is this, of the translation, what stands for that in the source?
      def there?(old, token)
        unless (name = month_or_day(old))
          return same?(old, token) || Forms::Dates.moved(old, token, old, @languages)
        end

        (found = Forms::Dates.name(token, @languages[1])) && [found.of, found.which] == [name.of, name.which]
      end

      def month_or_day(text) = text.match?(/\d/) ? nil : Forms::Dates.name(text, @languages[0])

      # The same number, date or link, whatever the marks between its digits.
      def same?(one, other)
        one == other ||
          (
            one.match?(/\A\d/) && other.match?(/\A\d/) && !one.match?(/\p{L}/) &&
              one.scan(/\d+/) == other.scan(/\d+/)
          )
      end

      # The new text as this translation writes it: with the marks the old one has there, else in the form of
      # the language.
      def form(new, old, there)
        if (name = month_or_day(new))
          return (
            Forms::Dates.written(name.which, Forms::Dates.name(there, @languages[1]), @languages[1], there)
          )
        end
        return new if old == there && @languages.uniq.size == 1

        date = Forms::Dates.moved(old, there, new, @languages) and return date
        marks = there.scan(/[^\d]+/)
        groups = new.scan(/\d+/)
        unless new.match?(/\A\d/) && groups.size == marks.size + 1 && new.scan(/[^\d]+/) == old.scan(/[^\d]+/)
          return Forms::Numbers.convert(new, *@languages)
        end

        groups.zip(marks).flatten.compact.join
      end

      def put(changes)
        shift, made = 0, []
        items = @target.items
        changes.each do |token, text|
          items = replace(items, token.from + shift, token.to + shift, text)
          made << Change.new(from: token.from + shift, to: token.from + shift + text.length, was: token.text)
          shift += text.length - (token.to - token.from)
        end
        [Content.new(items), made]
      end

      # Replaces a stretch of the text; codes inside it stand after it.
      def replace(items, from, to, text)
        at, placed = 0, false
        items.flat_map do |item|
          start = at
          at += item.is_a?(String) ? item.length : item.equiv.to_s.length
          next [item] if !item.is_a?(String) || at <= from || start >= to

          first = placed ? "" : text
          placed = true
          [item[0...[from - start, 0].max] + first + item[[to - start, item.length].min..]]
        end
      end
    end
  end
end
