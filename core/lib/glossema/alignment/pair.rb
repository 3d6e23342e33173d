# The two texts of a bead as a unit of a memory.
module Glossema
  module Alignment
    module Pair
      SPACELESS = %w[ja zh th lo km my].freeze

      module_function

      # contents: [Content …] of one side of a bead; lang: tag → text.
      def text(contents, lang)
        between = SPACELESS.include?(Languages.primary(lang)) ? "" : " "
        contents.map { |content| content.text.strip }.reject(&:empty?).join(between)
      end

      # → [source, target] in written form: with codes where one segment stands opposite to one and both
      # have the same, else their texts.
      def written(sources, targets, languages)
        if sources.size == 1 && targets.size == 1 && shape(sources.first) == shape(targets.first)
          return [sources, targets].map { |side| side.first.written }
        end

        [sources, targets].zip(languages).map { |side, lang| Content.escape(text(side, lang)) }
      end

      def shape(content) = content.codes.map { |code| [code.kind, code.id] }.sort
      private_class_method :shape
    end
  end
end
