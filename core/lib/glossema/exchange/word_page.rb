# What the DOCX files made from nothing share: a page of A4 across with one table over its width.
require "nokogiri"
require "zip"

module Glossema
  module Exchange
    module WordPage
      W = "http://schemas.openxmlformats.org/wordprocessingml/2006/main".freeze
      # Twentieths of a point that a page of A4 across leaves between its margins.
      WIDTH = 14_400
      LINES = "9AA7AE".freeze

      module_function

      # A part with the root element named; yields its builder. Returns XML.
      def built(root)
        Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
          xml.public_send(root, "xmlns:w" => W) do
            # Everything in it is of the schema's own namespace.
            xml.parent.namespace = xml.parent.namespace_definitions.first
            yield xml
          end
        end.to_xml(save_with: Nokogiri::XML::Node::SaveOptions::AS_XML)
      end

      # parts: {path => text} → the DOCX.
      def zipped(parts)
        Zip::OutputStream.write_buffer do |zip|
          parts.each do |path, content|
            zip.put_next_entry(path)
            zip.write(content)
          end
        end.string
      end

      # What stands at the head of the table; widths: of its columns, in twentieths of a point.
      def layout(xml, widths)
        xml["w"].tblPr do
          xml["w"].tblW("w:w" => WIDTH, "w:type" => "dxa")
          xml["w"].tblBorders do
            %w[top left bottom right insideH insideV].each do |side|
              xml["w"].public_send(side, "w:val" => "single", "w:sz" => 4, "w:space" => 0, "w:color" => LINES)
            end
          end
          xml["w"].tblLayout("w:type" => "fixed")
        end
        xml["w"].tblGrid { widths.each { |width| xml["w"].gridCol("w:w" => width) } }
      end

      # The size of the page, inside of its section.
      def across(xml)
        xml["w"].pgSz("w:w" => 16_838, "w:h" => 11_906, "w:orient" => "landscape")
        xml["w"].pgMar("w:top" => 1134, "w:right" => 1134, "w:bottom" => 1134, "w:left" => 1134,
          "w:header" => 567, "w:footer" => 567, "w:gutter" => 0)
      end
    end
  end
end
