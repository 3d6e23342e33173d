# Parts a translation where its source was cut in two: at the end of a sentence near that place, else between
# two words.
module Glossema
  module Segmentation
    module Parting
      # How far from the place of the cut, as a share of the text, the end of a sentence may stand.
      NEAR = 0.25

      module_function

      # target: Content; share: how much of the source stands before the cut (0 to 1); language: that of the
      # target. Answers two Contents, the second one empty where there is nothing to part.
      def halves(target, share, language)
        text = target.text
        at = place(text, share, language) or return target, Content.new([])
        first, second = Splitter.split(target, [at]).select(&:segment?).map(&:content)
        # Numbers of codes are those of the whole still.
        numbers = target.codes.to_h { |code| [code.key, code.id] }
        [first, second].map { |half| renumbered(half || Content.new([]), numbers) }
      end

      # Ends of sentences first, then of clauses, then any border of words.
      def place(text, share, language)
        wanted = text.length * share
        near = ->(place) { (place - wanted).abs <= text.length * NEAR }
        closest = ->(places) { places.min_by { |at| (at - wanted).abs } }
        sentence = closest.call(Segmenter.new(language).breaks(text).select(&near))
        sentence || closest.call(borders(text, /(?<=[;:,–—][[:space:]])/).select(&near)) ||
          closest.call(borders(text, /(?<=[[:space:]])/))
      end

      def borders(text, after)
        Offsets.all(text, /#{after}(?=[^[:space:]])/).map(&:first)
      end

      def renumbered(content, numbers)
        Content.new(content.items.map { |item| item.is_a?(String) ? item : item.with(id: numbers[item.key]) })
      end
      private_class_method :place, :borders, :renumbered
    end
  end
end
