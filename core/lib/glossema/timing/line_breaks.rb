# The places at which the text of a cue is broken into lines, best first: by sense (after a stop, before a
# conjunction or a preposition, never between an article and its noun), balanced, within the client's limits.
require "yaml"

module Glossema
  module Timing
    class LineBreaks
      WORDS = YAML.safe_load_file(File.expand_path("../../../data/timing/words.yml", __dir__))
        .transform_values { |kinds| kinds.transform_values(&:split) }.freeze

      # What a break costs, below 0 what it is worth. All are found by hand on the tables of the spec.
      TOO_LONG = 12.0        # for each character over the line's limit
      ARTICLE = 60.0         # after an article
      PREPOSITION = 45.0     # after a preposition
      CONJUNCTION = 40.0     # after a conjunction
      LEANING = 18.0         # after what leans on the next word
      NAME = 25.0            # inside a name
      NUMBER = 40.0          # between a number and what it counts
      STOP = -30.0           # after the end of a sentence
      PAUSE = -16.0          # after a comma, a colon, a dash
      BEFORE_CONJUNCTION = -13.0
      BEFORE_PREPOSITION = -7.0
      SPEAKER = -90.0        # before the dash of another speaker
      UNEVEN = 30.0          # one line empty against a full one
      EACH_LINE = 34.0       # for a line more than needed
      # From here on a break is a bad one.
      BAD = 25.0
      MOST_WORDS = 60

      # lang: tag; limits: Limits.
      def initialize(lang, limits = Limits.new)
        @words = WORDS.fetch(Languages.primary(lang.to_s), {})
        @limits = limits
      end

      # text: of a cue, broken or not; any line break counts as a space → [text broken into lines, …], best
      # first, without those that are broken in a place that is never good while there are others; at most
      # `most`. A text that fits on one line comes as one line first.
      def best(text, most: 8)
        words = text.split(/[ \t\n]+/).reject(&:empty?)
        return [words.join(" ")] if words.size < 2 || words.size > MOST_WORDS

        found = (1..@limits.lines.to_i.clamp(1, 3)).flat_map { |lines| broken(words, lines) }
        sound = found.reject { |_, _, bad| bad }
        (sound.empty? ? found : sound).sort_by.with_index { |(_, cost, _), at| [cost, at] }
          .first(most).map(&:first)
      end

      # What a break between two words costs by sense alone; used by the check on breaks too.
      def sense(before, after)
        cost = 0.0
        cost += SPEAKER if after.match?(/\A[-–—](?:\p{L}|\z)/) && stop?(before)
        return cost + STOP if stop?(before)

        cost += PAUSE if before.match?(/[,–—]\z/)
        cost + leading(before) + following(after) + together(before, after)
      end

      # Is a line that ends with the one word and goes on with the other broken in a bad place?
      def bad?(before, after) = sense(before, after) >= BAD

      private

      def broken(words, lines)
        (1...words.size).to_a.combination(lines - 1).map do |places|
          parts = [0, *places, words.size].each_cons(2).map { |from, to| words[from...to].join(" ") }
          costs = places.map { |place| sense(words[place - 1], words[place]) }
          [parts.join("\n"), costs.sum + shape(parts) + ((lines - 1) * EACH_LINE), costs.any? { |cost|
            cost >= BAD
          }]
        end
      end

      def shape(parts)
        lengths = parts.map { |part| part.scan(/\X/).size }
        over = lengths.sum { |length| [length - @limits.characters, 0].max }
        uneven = parts.size == 1 ? 0 : (lengths.max - lengths.min).fdiv(lengths.max) * UNEVEN
        # The upper line is the shorter one, where either would do: it hides less of the picture.
        uneven += 1 if parts.size > 1 && lengths.first > lengths.last
        (over * TOO_LONG) + uneven
      end

      # The end of a sentence, or nearly; an initial is none.
      def stop?(word) = word.match?(/[.!?…:;]["”»’)]*\z/) && !word.match?(/\A\p{L}\.\z/)

      def leading(word)
        bare = bare(word)
        return 0 if word.match?(/[,–—]\z/)
        return ARTICLE if any?("articles", bare)
        return PREPOSITION if any?("prepositions", bare)
        return CONJUNCTION if any?("conjunctions", bare)

        any?("leaning", bare) ? LEANING : 0
      end

      def following(word)
        bare = bare(word)
        return BEFORE_CONJUNCTION if any?("conjunctions", bare)

        any?("prepositions", bare) || contracted?(bare) ? BEFORE_PREPOSITION : 0
      end

      # "della", "zum": a preposition with its article.
      def contracted?(bare)
        bare.match?(/\A(?:de[li]|del\p{L}+|al\p{L}*|dal\p{L}*|nel\p{L}*|sul\p{L}*)\z/) &&
          any?("articles", bare)
      end

      def together(before, after)
        return NUMBER if before.match?(/\A\p{Nd}[\p{Nd}.,]*\z/) && after.match?(/\A[\p{L}%€$£°]/)

        name?(before) && name?(after) && !before.match?(/[,–—]\z/) ? NAME : 0
      end

      def name?(word) = word.match?(/\A["“«(]?\p{Lu}\p{Ll}/)
      def bare(word) = word.downcase.gsub(/\A["“«(¿¡-]+|["”»),.!?…:;]+\z/, "").tr("’", "'")
      def any?(kind, bare) = @words.fetch(kind, []).include?(bare)
    end
  end
end
