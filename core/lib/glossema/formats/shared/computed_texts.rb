# What a document repeats of its own texts, to be renewed after they were translated. Formats say how a
# paragraph reads (`shown(node)`, and with `label: true` only up to its first number), which names lead to it
# (`anchors`), and what to renew.
module Glossema
  module Formats
    class ComputedTexts
      def initialize
        @renewal = Renewal.new
      end

      # Texts that could not be renewed.
      def left = @renewal.left.uniq

      # The paragraphs of these places as they read before they are written.
      def remember(places)
        @before =
          places.select(&:paragraph).map do |place|
            node = place.paragraph.node
            [place, self.class.shown(node), self.class.shown(node, label: true), anchors(node)]
          end
      end

      # title: the document's title before and after, or nil. Answers the paths of the parts that changed.
      def renew(title)
        @renewal.learn(*title, weak: true) if title
        @before.each { |place, *rest| learn(place, *rest) }
        renewed_parts
      end

      private

      def learn(place, source, label, names)
        node = place.paragraph.node
        weak = !place.unit.block.match?(/heading|title/)
        @renewal.learn(source, self.class.shown(node), anchors: names, weak: weak)
        return unless label

        target = self.class.shown(node, label: true)
        @renewal.learn(label, target, weak: true) if target
      end
    end
  end
end
