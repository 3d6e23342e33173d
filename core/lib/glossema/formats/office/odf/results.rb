# The fields and indexes of an ODF text that repeat a text of the document: written anew after the text was
# translated.
module Glossema
  module Formats
    class Odf
      class Results < ComputedTexts
        INDEXES = "//*[local-name()='index-body']//*[local-name()='p']" \
          "[not(ancestor::*[local-name()='index-title'])]".freeze
        REFERENCES = %w[bookmark-ref reference-ref sequence-ref chapter title index-title-template].freeze
        FIELDS = "//*[#{REFERENCES.map { |name| "local-name()='#{name}'" }.join(" or ")}]".freeze
        UNREAD = %w[note annotation frame g tracked-changes].freeze

        # What a reader sees of a paragraph's own text; with `label` only up to the end of its first number
        # field.
        def self.shown(node, label: false)
          text = +""
          walk = lambda do |parent|
            parent.children.each do |child|
              next text << child.text.gsub(/[ \t\r\n]+/, " ") if child.text? || child.cdata?
              next unless child.element?

              case child.name
              when "s", "tab", "line-break" then text << " "
              when *UNREAD then next
              else walk.call(child)
              end
              throw :label, text if label && child.name == "sequence"
            end
          end
          catch(:label) do
            walk.call(node)
            label ? nil : text
          end
        end

        # parts: {path => XML}.
        def initialize(parts)
          super()
          @parts = parts
        end

        private

        def renewed_parts = @parts.select { |_, xml| [renew_indexes(xml), renew_fields(xml)].any? }.keys

        def anchors(node)
          marks = ".//*[local-name()='bookmark-start' or local-name()='bookmark' or " \
            "local-name()='reference-mark-start']"
          node.xpath(marks).map { |mark| Odf.value(mark, "name") }
        end

        def renew_indexes(xml)
          xml.xpath(INDEXES).map do |line|
            link = line.at_xpath(".//*[local-name()='a']")
            anchor = link && Odf.value(link, "href").to_s[/\A#([^|]+)/, 1]
            @renewal.renew(pieces_of(line), anchor) { |node, text| node.content = text }
          end.any?
        end

        # The text nodes of a line between its tabs.
        def pieces_of(line)
          pieces = [[]]
          line.traverse do |node|
            pieces << [] if node.name == "tab"
            pieces.last << node if node.text?
          end
          pieces
        end

        def renew_fields(xml)
          xml.xpath(FIELDS).map do |field|
            next if field.namespace&.prefix != "text" || field.children.empty?

            nodes = field.xpath(".//text()").to_a
            @renewal.renew([nodes], Odf.value(field, "ref-name")) { |node, text| node.content = text }
          end.any?
        end
      end
    end
  end
end
