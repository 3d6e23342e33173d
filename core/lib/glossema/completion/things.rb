# What may come into the translation as a whole whatever was learned: terms, what is carried over from the
# source in the target's form, and what of the source is no word: tags, names, codes.
module Glossema
  module Completion
    class Things
      # One of them: its text, what it is ("term", "carried", "source"), and how likely it comes next where
      # nothing of it is typed.
      Thing = Struct.new(:text, :kind, :likelihood)
      TAG = /<[^<>\s][^<>]*>|[^\s<>"“”()\[\],;]+/
      STRANGE = /[<\d_%&]|\p{Lu}.*\p{Lu}|\p{Ll}\p{Lu}/
      # A letter typed of it makes it so much likelier, up to the surest.
      BEGUN, LETTER, SURE = 0.25, 0.12, 0.9
      # Before it stands nothing, a space or one of these.
      BEFORE = /[\s"“„«(\[<>'’]\z/
      LIKELY = { "term" => 0.1, "carried" => 0.08, "source" => 0.05 }.freeze

      class << self
        # source: its text; terms: target texts; carried: texts in the target's form; known: tells of a word
        # of the source whether it was learned. Returns [Thing …].
        def find(source, terms: [], carried: [], &known)
          own = source.scan(TAG).map { |text| text.start_with?("<") ? text : text.sub(/[.:!?]+\z/, "") }
          own = own.select { |text| text.match?(STRANGE) || !known.call(text) }
          all = list(terms, "term") + list(carried, "carried") + list(own - carried, "source")
          all.uniq(&:text)
        end

        private

        def list(texts, kind) =
          texts.reject(&:empty?).map { |text| Thing.new(text, kind, LIKELY[kind]) }
      end

      # things: [Thing …] of a source.
      def initialize(source, things)
        @source, @things = source, things
      end

      # {rest of a thing => [how likely, kind]} after what is typed.
      def after(prefix)
        @things.each_with_object({}) do |thing, found|
          next if used_up?(thing, prefix)

          rest, likelihood = continued(thing, prefix)
          next unless rest && likelihood > (found[rest]&.first || 0)

          found[rest] = [likelihood, thing.kind]
        end
      end

      private

      # It stands there already as often as it can be expected.
      def used_up?(thing, prefix)
        there = prefix.scan(thing.text).size
        there.positive? && there >= [@source.scan(thing.text).size, 1].max
      end

      def continued(thing, prefix)
        text = thing.text
        [text.length - 1, prefix.length].min.downto(1) do |typed|
          next unless prefix.end_with?(text[0, typed]) && (typed > 2 || begins?(prefix, typed))

          return [text[typed..], [BEGUN + (LETTER * typed), SURE].min]
        end
        return [text, @source.start_with?(text) ? 0.6 : thing.likelihood] if prefix.empty?

        [text, thing.likelihood] if prefix.match?(BEFORE)
      end

      def begins?(prefix, typed) = prefix.length == typed || prefix[0...-typed].match?(BEFORE)
    end
  end
end
