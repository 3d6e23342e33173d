# A sentence divided over the cues that say it: by how long each is shown and by sense, and each part broken
# into lines.
module Glossema
  module Timing
    class Dividing
      # A part twice as long as its cue has time for.
      OUT_OF_TIME = 35.0
      # For each character a second beyond the limit.
      TOO_FAST = 6.0
      MOST_WORDS = 80

      # lang: of the text; limits: Limits.
      def initialize(lang, limits = Limits.new)
        @limits, @breaks = limits, LineBreaks.new(lang, limits)
      end

      # text: the whole sentence; durations: of the cues, in order, in seconds → [text of each cue, in
      # lines]; all words stand in exactly one of them, in order. A cue for which no word is left is empty.
      def divide(text, durations)
        words = text.split(/[ \t\n]+/).reject(&:empty?)
        return [*words, *[""] * (durations.size - words.size)] if words.size <= durations.size

        parts = best(words, durations.map { |seconds| [seconds.to_f, 0.1].max })
        parts.map { |part| @breaks.best(part).first.to_s }
      end

      private

      # The cheapest way to give each cue a run of words, by dynamic programming.
      def best(words, durations)
        lengths = [0]
        words.each { |word| lengths << (lengths.last + word.scan(/\X/).size + 1) }
        share = lengths.last / durations.sum
        table = { 0 => [0.0, []] }
        durations.each_with_index do |seconds, index|
          table = step(table, words, lengths, seconds, share, left: durations.size - index - 1)
        end
        [*table.fetch(words.size).last, words.size].each_cons(2).map { |from, to| words[from...to].join(" ") }
      end

      # table: {words given away => [cost, where each part began]}.
      def step(table, words, lengths, seconds, share, left:)
        table.each_with_object({}) do |(from, (cost, began)), found|
          ends = left.zero? ? [words.size] : ((from + 1)..(words.size - left)).to_a
          ends.each do |to|
            sum = cost + time(lengths[to] - lengths[from] - 1, seconds, share) + border(words, to)
            found[to] = [sum, began + [from]] if found[to].nil? || sum < found[to].first
          end
        end
      end

      def time(length, seconds, share)
        wanted = seconds * share
        (OUT_OF_TIME * ((length - wanted) / wanted).abs) + (TOO_FAST * [(length / seconds) - @limits.cps,
                                                                        0].max)
      end

      def border(words, at) = at == words.size ? 0 : @breaks.sense(words[at - 1], words[at])
    end
  end
end
