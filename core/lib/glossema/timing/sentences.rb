# Which cues say one sentence together: those whose text goes on in the next.
module Glossema
  module Timing
    class Sentences
      # Nobody waits longer for the rest of a sentence, in seconds.
      LONGEST_PAUSE = 3
      # No more cues than this are one sentence.
      MOST = 5
      ENDED = /[.!?。！？؟।։][\])"'”’»›]*\z/
      GOES_ON = /(?:\.{3}|…|[,;:–—-])[\])"'”’»›]*\z/
      LEANS = %w[articles prepositions conjunctions leaning].freeze

      # lang: tag of the texts.
      def initialize(lang)
        @words = LineBreaks::WORDS.fetch(Languages.primary(lang.to_s), {})
        @nouns_capital = Languages.primary(lang.to_s) == "de"
      end

      # shown: [[Cue, text], …] in the order of the file → [[index, …], …] of those that are more than one.
      def groups(shown)
        groups = (0...shown.size).slice_when { |one, other| !goes_on?(shown[one], shown[other]) }
        groups.flat_map { |group| group.each_slice(MOST).to_a }.select { |group| group.size > 1 }
      end

      private

      def goes_on?((cue, text), (following, more))
        text, more = text.strip, more.strip
        return false unless close?(cue, following) && [text, more].none?(&:empty?)
        return false if speaker?(more) || title?(text)
        return continued?(more) if text.match?(/(?:\.{3}|…)[\])"'”’»›]*\z/)

        !text.match?(ENDED) && (text.match?(GOES_ON) || unfinished?(text, more))
      end

      def unfinished?(text, more)
        !more.match?(/\A["“«(]?\p{Lu}/) || @nouns_capital || leans?(text)
      end

      def close?(cue, following)
        gap = cue.gap_to(following)
        !gap.nil? && gap <= LONGEST_PAUSE && following.start >= cue.start
      end

      # After three dots: small letters, or dots again.
      def continued?(more) = more.match?(/\A(?:\.{3}|…|\p{Ll})/)
      def speaker?(text) = text.match?(/\A[-–—]/)
      def title?(text) = text.match?(/\p{L}/) && text == text.upcase && text != text.downcase

      def leans?(text)
        LEANS.any? { |kind| @words.fetch(kind, []).include?(text[/[\p{L}']+\z/].to_s.downcase) }
      end
    end
  end
end
