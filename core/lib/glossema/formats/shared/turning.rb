# Whether a document has to be turned around: its translation runs from right to left and it does not, or the
# other way round. Including classes answer `units`.
module Glossema
  module Formats
    module Turning
      RIGHT_TO_LEFT = /[\p{Arabic}\p{Hebrew}\p{Syriac}\p{Thaana}\p{Nko}]/
      LOOKED_AT = 400

      private

      # :rtl or :ltr when the translation runs the other way than the source, else nil.
      def turn_for(target_language)
        return nil if target_language.nil? || bilingual?

        wanted = Languages.right_to_left?(target_language)
        return nil if wanted == right_to_left?

        wanted ? :rtl : :ltr
      end

      def right_to_left?
        return @right_to_left unless @right_to_left.nil?

        text = units.first(LOOKED_AT).map { |unit| unit.content.text }.join
        @right_to_left = text.scan(RIGHT_TO_LEFT).size > text.scan(/\p{L}/).size / 2
      end
    end

    # A start tag of markup that says which way its text runs. node: of Markup; name: of the attribute.
    DirectedTag =
      Struct.new(:node, :name) do
        # [from, to] of the attribute with the space before it, or nil.
        def at
          match = node.open_raw.match(/\s+#{name}\s*=\s*(?:"[^"]*"|'[^']*'|[^\s>]+)/i) or return nil
          from = node.from + match.pre_match.bytesize
          [from, from + match[0].bytesize]
        end

        # What to change where the document is turned: :rtl, :ltr or nil.
        def edits(turn)
          return [] unless turn
          return at ? [[*at, ""]] : [] if turn == :ltr

          after_name = node.from + "<#{node.name}".bytesize
          [[*(at || [after_name, after_name]), " #{name}=\"rtl\""]]
        end
      end
  end
end
