# A source and its translation as checks see them.
module Glossema
  module Checks
    class Pair
      attr_reader :source, :target, :source_lang, :target_lang, :state, :origin, :limit, :cue, :next_cue

      # source, target: Content (target nil where there is none); state, origin: as a segment has them, where
      # they are known; limit: characters, or nil; cue, next_cue: Timing::Cue of subtitles, or nil.
      def initialize(source:, target:, source_lang:, target_lang:, state: nil, origin: nil, limit: nil,
        cue: nil, next_cue: nil)
        @source, @target = source, target || Content.new
        @source_lang, @target_lang = source_lang, target_lang
        @state, @origin, @limit = state, origin, limit
        @cue, @next_cue = cue, next_cue
      end

      def from = @from ||= source.text
      def into = @into ||= target.text
      def untranslated? = into.match?(/\A[[:space:]]*\z/)

      # Languages without their regions.
      def source_language = @source_language ||= Languages.primary(source_lang)
      def target_language = @target_language ||= Languages.primary(target_lang)

      # Numbers, dates, times and the like in both, and what is left of them once those of the same value are
      # paired.
      def quantities = @quantities ||= Quantities.new(self)

      # The target with a stretch of its text put otherwise; nil where a code lies in it.
      def mended(from, to, text)
        at = 0
        done = false
        items = target.items.map do |item|
          next item.tap { at += item.equiv.to_s.length } unless item.is_a?(String)

          start, at = at, at + item.length
          next item unless !done && from >= start && to <= at

          done = true
          item[0...(from - start)] + text + item[(to - start)..]
        end
        Content.new(items).written if done
      end
    end
  end
end
