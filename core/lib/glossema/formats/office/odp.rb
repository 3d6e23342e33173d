# ODP (also OTP): slides in their order with text, tables, charts and alternative texts; by option speaker
# notes, hidden slides and masters.
require "glossema/formats/office/odf"

module Glossema
  module Formats
    class Odp < Odf
      Formats.announce(self, rank: 11)

      NAME = "ODP".freeze
      EXTENSIONS = %w[odp otp].freeze
      MEDIA_TYPE = "application/vnd.oasis.opendocument.presentation".freeze
      BODY = "presentation".freeze
      DEFAULTS = {
        "notes" => false,
        "hidden_slides" => false,
        "masters" => false,
        "alt_texts" => true,
        "title" => true
      }.freeze
      HEADINGS = { "title" => "heading-1", "subtitle" => "heading-2" }.freeze

      def page(&block)
        @places
          .select(&:paragraph)
          .chunk_while { |one, other| slide_of(one) == slide_of(other) }
          .map do |places|
            inner =
              places
                .reject { |place| place.unit.content.blank? }
                .map do |place|
                  tag = { "heading-1" => "h1", "heading-2" => "h2" }.fetch(place.unit.block, "p")
                  "<#{tag}>#{block.call(place.unit)}</#{tag}>"
                end
            "<section class=\"slide\"><p class=\"number\">#{slide_of(places.first)}</p>#{inner.join}" \
              "</section>"
          end
          .join("\n")
      end

      private

      def slide_of(place) = Location.text(place.unit.location.except("row", "column"))

      def read
        pages = body.element_children.select { |node| node.name == "page" }
        pages.each_with_index do |page, index|
          next if hidden?(page) && !@options["hidden_slides"]

          label = Location.new("slide", number: index + 1)
          page.element_children.each do |shape|
            shape.name == "notes" ? notes(shape, label) : shape(shape, "content.xml", label)
          end
        end
        read_masters if @options["masters"]
      end

      def hidden?(page)
        name = Odf.value(page, "style-name")
        style =
          parse("content.xml").at_xpath(
            "//*[local-name()='style'][@*[local-name()='name']='#{name}']" \
              "/*[local-name()='drawing-page-properties']"
          )
        style && Odf.value(style, "visibility") == "hidden"
      end

      def shape(node, part, label)
        kind = Odf.value(node, "class")
        if %w[page-number date-time header footer].include?(kind) && part == "content.xml" &&
            node.text.strip.empty?
          return
        end

        # Placeholders nobody has filled in show nothing.
        return if Odf.value(node, "placeholder") == "true" && part == "content.xml"

        holder = Nokogiri::XML::NodeSet.new(node.document, [node])
        context = { where: "body", location: label,
                    block: HEADINGS[kind] || (kind ? "paragraph" : "text-box") }
        node.name == "table" ? walk_table(node, part, context) : walk_shape(holder.first, part, context)
      end

      def walk_shape(node, part, context)
        node.element_children.each do |child|
          case child.name
          when "p", "h"
            paragraph(child, part, context)
          when "text-box", "list", "list-item", "list-header", "g", "frame", "custom-shape", "a"
            walk_shape(child, part, context)
          when "table"
            walk_table(child, part, context.merge(block: "cell"))
          when "title", "desc"
            alt_text(child, part)
          when "object"
            object(child)
          when *SKIPPED
            next
          else
            walk_shape(child, part, context)
          end
        end
      end

      def walk_table(table, part, context)
        table
          .xpath(".//*[local-name()='table-row']")
          .each_with_index do |row, r|
            row
              .element_children
              .select { |cell| cell.name == "table-cell" }
              .each_with_index do |cell, c|
                walk_shape(
                  cell,
                  part,
                  context.merge(location: Location.cell(context[:location], r + 1, c + 1), block: "cell")
                )
              end
          end
      end

      def notes(node, label)
        return unless @options["notes"]

        location = Location.new("slide-notes", number: label["number"])
        node.element_children.each do |shape|
          next unless Odf.value(shape, "class") == "notes"

          walk_shape(shape, "content.xml", { where: "body", location: location, block: "note" })
        end
      end

      def read_masters
        parse("styles.xml")
          .xpath("//*[local-name()='master-page']")
          .each do |page|
            label = Location.new("master", name: Odf.value(page, "name"))
            page.element_children.each do |node|
              shape(node, "styles.xml", label) unless node.name == "notes"
            end
          end
      end
    end
  end
end
