# What a program fills in: %s, {name}, {{x}}, $(x). Where texts number them (%2$s), order is free.
module Glossema
  module Checks
    module Placeholders
      # One in a text: from…to, as it is written; number: the place it stands for where it says so, else its
      # own among those of its kind; type: without that number.
      Found = Struct.new(:from, :to, :text, :number, :type, :numbered, keyword_init: true)

      CONVERSION = /(?:hh|ll|[hlqjztL])?[sdifuxXcoeEgGp@]/
      SHAPE = /%(?:\d+\$)?[-+0#']*(?:\d+|\*)?(?:\.(?:\d+|\*)?)?/
      PRINTF = /#{SHAPE}#{CONVERSION}(?![A-Za-z\d])|%(?:\d+\$)?(?:l{0,2}[du]|s)(?=\p{Lu})|%\([\w.]+\)[sdif]/
      NUMBERED = /%\d+(?!\d|[.,]\d|\s*\p{L}|\$)(?=\W|\z)|%[\w.]{2,}%/
      BRACED = /\{\{[^{}]{1,60}\}\}|[$#]?\{[\w.:-]{1,60}\}|\$\([\w.]{1,60}\)/
      PATTERN = Regexp.union(PRINTF, NUMBERED, BRACED)
      POSITION = /\A%(\d+)\$/

      module_function

      # [Found …] in order.
      def in(text)
        found, count = [], 0
        Offsets.each(text, PATTERN) do |matched, from, to|
          position = matched[POSITION, 1]
          count += 1 if matched.match?(/\A%[^%]*[a-zA-Z@]\z/)
          found << Found.new(from: from, to: to, text: matched, number: position&.to_i || count,
            type: matched.sub(POSITION, "%"), numbered: !position.nil?)
        end
        found
      end

      # source, target: texts → [[Found of the source that are lost …], [Found of the target that are new …]]
      def differences(source, target)
        lists = [source, target].map { |text| self.in(text) }
        numbered = lists.map { |list| list.any?(&:numbered) }
        by = numbered.uniq.size == 2 ? ->(one) { [one.number, one.type] } : ->(one) { one.text }
        [left(lists[0], lists[1], by), left(lists[1], lists[0], by)]
      end

      # The text with blanks where they stand, as long as it was.
      def masked(text) = text.gsub(PATTERN) { |one| " " * one.length }

      def left(list, other, by)
        counts = other.map(&by).tally
        list.reject { |one| counts.fetch(by[one], 0).positive? && (counts[by[one]] -= 1) }
      end
      private_class_method :left
    end
  end
end
