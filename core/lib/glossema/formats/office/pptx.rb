# PPTX (also PPTM, PPSX, POTX): slides in their order with titles, text, tables, charts, diagrams and
# alternative texts; by option speaker notes, hidden slides and masters.
require "glossema/formats/office/ooxml"

module Glossema
  module Formats
    class Pptx < Ooxml
      Formats.announce(self, rank: 10)

      NAME = "PPTX".freeze
      EXTENSIONS = %w[pptx pptm ppsx potx].freeze
      MEDIA_TYPE = "application/vnd.openxmlformats-officedocument.presentationml.presentation".freeze
      FAMILY = "presentationml".freeze
      DEFAULTS = {
        "notes" => false,
        "hidden_slides" => false,
        "masters" => false,
        "alt_texts" => true,
        "title" => true
      }.freeze
      HEADINGS = { "title" => "heading-1", "ctrTitle" => "heading-1", "subTitle" => "heading-2" }.freeze
      MARGINS = %w[sldNum dt ftr hdr].freeze

      def source_language
        tag = @places.filter_map(&:paragraph).filter_map(&:language).tally.max_by(&:last)&.first
        tag if tag && Languages.valid?(tag)
      end

      # Slides as slides: a section each, tables as tables.
      def page(&block)
        @places
          .select(&:paragraph)
          .chunk_while { |one, other| one.part == other.part }
          .map do |places|
            story = @stories.find { |candidate| candidate.path == places.first.part }
            "<section class=\"slide\"><p class=\"number\">#{story_heading(story)}</p>" \
              "#{blocks(places, block)}</section>"
          end
          .join("\n")
      end

      private

      def story_heading(story) = Location.text(story ? label(story) : Location.new("chart-or-diagram"))

      def turned_parts = @stories.map(&:path) | @places.filter_map { |place| place.part if place.paragraph }

      def turn_around(direction)
        turned_parts.each { |path| Drawing.turn(parse(path).root, direction) }
      end

      def read
        @stories = slides
        @stories.each do |story|
          @counters.delete(:alt)
          read_drawing(story) { |node| place_of(node, story) }
          next unless story.kind == "slide"

          story.xml.xpath("//*[local-name()='cNvPr']").each { |node| alt_text(node, story) }
          read_graphics(story.path)
          read_controls(story.path)
        end
      end

      # The slides in the order of the presentation, each followed by its notes when they are wanted.
      def slides
        targets =
          self.class.relations(container, @main).to_h { |relation| [relation[:id], relation[:target]] }
        ids =
          parse(@main)
            .xpath("//*[local-name()='sldIdLst']/*[local-name()='sldId']")
            .map do |node|
              node
                .attribute_nodes
                .find { |attribute| attribute.node_name == "id" && attribute.namespace }
                &.value
            end
        paths = ids.filter_map { |id| targets[id] }.select { |path| container.entry?(path) }
        list =
          paths.each_with_index.flat_map do |path, index|
            xml = parse(path)
            next [] if %w[0 false].include?(xml.root["show"]) && !@options["hidden_slides"]

            notes =
              (
                if @options["notes"]
                  related(path, "notesSlide").map do |note|
                    Story.new(path: note, kind: "notes", xml: parse(note), number: index + 1)
                  end
                else
                  []
                end
              )
            [Story.new(path: path, kind: "slide", xml: xml, number: index + 1), *notes]
          end
        list + masters(paths)
      end

      def masters(paths)
        return [] unless @options["masters"]

        layouts = paths.flat_map { |path| related(path, "slideLayout") }.uniq
        (related(@main, "slideMaster") + layouts).map do |path|
          Story.new(path: path, kind: "master", xml: parse(path))
        end
      end

      def place_of(node, story)
        return nil if node.ancestors.any? { |parent| parent.name == "Fallback" }

        cell = node.ancestors.find { |parent| parent.name == "tc" }
        return "cell", cell_location(cell, story) if cell

        shape = node.ancestors.find { |parent| parent.name == "sp" }
        type = shape && holder_type(shape)
        return nil if story.kind == "notes" && type != "body"

        [
          (
            if story.kind == "notes"
              "note"
            else
              HEADINGS[type] || block_of(type)
            end
          ),
          label(story)
        ]
      end

      def block_of(type)
        return "footer" if MARGINS.include?(type)

        type ? "paragraph" : "text-box"
      end

      # What a shape holds by its layout ("title", "body" …), nil for a box of its own; the same for all its
      # paragraphs.
      def holder_type(shape)
        (@holders ||= {}).fetch(shape.pointer_id) do
          holder = shape.at_xpath("./*[local-name()='nvSpPr']/*[local-name()='nvPr']/*[local-name()='ph']")
          @holders[shape.pointer_id] = holder && (holder["type"] || "body")
        end
      end

      def cell_location(cell, story)
        row = cell.parent
        rows = row.parent.element_children.select { |child| child.name == "tr" }
        cells = row.element_children.select { |child| child.name == "tc" }
        Location.cell(label(story), rows.index(row) + 1, cells.index(cell) + 1)
      end

      def label(story)
        case story.kind
        when "notes" then Location.new("slide-notes", number: story.number)
        when "master" then Location.new("master", name: short(story.path))
        else Location.new("slide", number: story.number)
        end
      end

      def blocks(places, block)
        places
          .chunk_while { |one, other| one.unit.block == "cell" && other.unit.block == "cell" }
          .map do |group|
            next table(group, block) if group.first.unit.block == "cell"

            group
              .map do |place|
                tag = { "heading-1" => "h1", "heading-2" => "h2" }.fetch(place.unit.block, "p")
                place.unit.content.blank? ? "" : "<#{tag}>#{block.call(place.unit)}</#{tag}>"
              end
              .join
          end
          .join
      end

      def table(places, block)
        rows =
          places.group_by { |place| place.paragraph.node.ancestors.find { |parent| parent.name == "tr" } }
        cells =
          rows.values.map do |row|
            row
              .group_by { |place| place.paragraph.node.ancestors.find { |parent| parent.name == "tc" } }
              .values
              .map do |inner|
                "<td>" \
                  "#{inner.map { |place|
                    "<p>#{block.call(place.unit)}</p>" unless place.unit.content.blank?
                  }.join}</td>"
              end
              .join
          end
        "<table>#{cells.map { |row| "<tr>#{row}</tr>" }.join}</table>"
      end
    end
  end
end
