# DOCX (also DOCM, DOTX, DOTM): body, tables, headers, footers, notes, text boxes, alt texts and the title.
#
# A paragraph is a unit. Writing replaces the inline content of those paragraphs whose text changed;
# everything else of the file stays as it was. Tracked changes are read as accepted; results of computed
# fields and hidden text stay. With the options "source_column" and "target_column" (numbers or letters) the
# rows of its tables are pairs of texts: the translation goes into the target column, and what stands outside
# the tables is left.
require "glossema/formats/office/ooxml"

module Glossema
  module Formats
    class Docx < Ooxml
      Formats.announce(self, rank: 10)

      NAME = "DOCX".freeze
      EXTENSIONS = %w[docx docm dotx dotm].freeze
      MEDIA_TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml.document".freeze
      FAMILY = "wordprocessingml".freeze
      DEFAULTS = {
        "comments" => false,
        "alt_texts" => true,
        "title" => true,
        "headers" => true,
        "hidden" => false,
        "source_column" => "",
        "target_column" => ""
      }.freeze
      STORIES = {
        "header" => "header",
        "footer" => "footer",
        "footnotes" => "footnote",
        "endnotes" => "endnote",
        "comments" => "comment"
      }.freeze

      attr_reader :styles

      def source_language = styles.language

      def bilingual? = !@options["target_column"].to_s.strip.empty?

      def page(&block) = Page.new(self, @places, block).html

      private

      def computed_results
        marked = @stories.any? { |story| container.read(story.path).match?(Results::MARKED) }
        Results.new(@stories) if marked && !bilingual?
      end

      def turned_parts = @stories.map(&:path)

      def turn_around(direction)
        @stories.each { |story| Direction.turn(story.xml.root, direction) }.map(&:path)
      end

      def read
        @styles = Styles.new(part_xml("styles"), part_xml("numbering"))
        @columns = bilingual? ? Columns.chosen(@options, [], @name) : nil
        @stories = stories_of(@main)
        @stories.each { |story| read_story(story) }
        @stories.each { |story| read_graphics(story.path) }
        @stories.each { |story| read_controls(story.path) } unless bilingual?
      end

      def part_xml(type) = related(@main, type).first&.then { |path| parse(path) }

      def stories_of(main)
        list = [Story.new(path: main, kind: "body", xml: parse(main))]
        return list if bilingual?

        STORIES.each do |type, kind|
          next if kind == "comment" && !@options["comments"]
          next if %w[header footer].include?(kind) && !@options["headers"]

          related(main, type).each { |path| list << Story.new(path: path, kind: kind, xml: parse(path)) }
        end
        list
      end

      def read_story(story)
        @counters = Hash.new(0)
        walk(story.xml.root, story, { fields: [], where: story.kind })
      end

      def walk(node, story, context)
        node.element_children.each do |child|
          case child.name
          when "p"
            child.namespace&.prefix == "a" ? next : paragraph(child, story, context)
          when "tbl"
            walk_table(child, story, context)
          when "txbxContent"
            walk(child, story, context.merge(fields: [], where: "text box", table: nil))
          when "footnote", "endnote", "comment"
            next if %w[separator continuationSeparator].include?(Styles.value(child, "type"))

            walk(child, story, context.merge(fields: [], note: Styles.value(child, "id")))
          when "AlternateContent"
            alternate(child, story, context)
          when "docPr"
            alt_text(child, story)
          when "del", "moveFrom"
            next
          else
            walk(child, story, context)
          end
        end
      end

      def walk_table(table, story, context)
        number = @counters[:table] += 1
        return walk_pairs(table, story, number) if @columns

        table
          .xpath("./*[local-name()='tr'] | ./*[local-name()='sdt']//*[local-name()='tr']")
          .each_with_index do |row, r|
            row
              .xpath(
                "./*[local-name()='tc'] | " \
                  "./*[local-name()='sdt']/*[local-name()='sdtContent']/*[local-name()='tc']"
              )
              .each_with_index do |cell, c|
                walk(cell, story,
                  context.merge(table: Location.new("table", number: number, row: r + 1, column: c + 1)))
              end
          end
      end

      # Rows of a source and a translation, but for heading rows.
      def walk_pairs(table, story, number)
        table
          .xpath("./*[local-name()='tr']")
          .each_with_index do |row, r|
            next if row.at_xpath("./*[local-name()='trPr']/*[local-name()='tblHeader']")

            cells = row.xpath("./*[local-name()='tc']")
            source, target = cells[@columns[:source]], cells[@columns[:target]]
            next unless source && target

            lines = target.element_children.select { |child| child.name == "p" }
            source
              .element_children
              .select { |child| child.name == "p" }
              .each_with_index do |node, index|
                pair(node, lines[index], target, story, Location.new("table", number: number, row: r + 1),
                  index)
              end
          end
      end

      def pair(node, line, cell, story, location, index)
        paragraph = Paragraph.new(node, styles, [], hidden: @options["hidden"])
        return if paragraph.content.blank?

        given = line && Paragraph.new(line, styles, [], hidden: @options["hidden"]).content
        given = given && !given.blank? ? given.fitted(paragraph.content) : nil
        unit =
          Unit.new(
            id: "#{short(story.path)}:#{[*location.values_at("number", "row"), index + 1].join("-")}",
            location: location,
            block: "cell",
            content: paragraph.content,
            look: paragraph.look,
            target: given,
            state: given && "translated",
            whole: true
          )
        @places << Place.new(
          unit: unit,
          paragraph: PairLine.new(node, line, cell, styles, @options["hidden"]),
          mirrors: [],
          part: story.path
        )
      end

      # The paragraph beside a source, with the source's looks and codes.
      PairLine =
        Struct.new(:node, :line, :cell, :styles, :hidden) do
          def block = "paragraph"
          def list = nil

          def write(content, target_language)
            made = Nodes.copy(node)
            cell << made
            Paragraph.new(made, styles, [], hidden: hidden).write(content, target_language)
            return unless line

            line.element_children.each { |child| child.unlink unless child.name == "pPr" }
            made.element_children.each { |child| line << child unless child.name == "pPr" }
            made.unlink
          end
        end

      public def frame(path)
        return super unless bilingual?

        xml = container.xml(path).dup
        xml.xpath("//*[local-name()='tc']/*[local-name()='p']").each(&:unlink)
        xml.canonicalize
      end

      # Newer readers show the first choice, older ones the fallback: the same text twice.
      def alternate(node, story, context)
        choice, *others = node.element_children.to_a
        return unless choice

        before = @places.size
        walk(choice, story, context)
        shown = @places[before..].select { |place| place.paragraph && place.unit }
        others.each do |other|
          other
            .xpath(".//*[local-name()='txbxContent']//*[local-name()='p']")
            .each_with_index do |repeat, index|
              twin = shown.select { |place| place.paragraph.node.ancestors.include?(choice) }[index]
              if twin &&
                  twin.paragraph.node.xpath(".//*[local-name()='t']").map(&:text).join ==
                      repeat.xpath(".//*[local-name()='t']").map(&:text).join
                twin.mirrors << Place.new(
                  paragraph: Paragraph.new(repeat, styles, [], hidden: @options["hidden"]),
                  part: story.path
                )
              else
                paragraph(repeat, story, context.merge(fields: [], where: "text box"))
              end
            end
        end
      end

      def paragraph(node, story, context)
        return if bilingual?

        inside = context.merge(fields: [])
        paragraph = Paragraph.new(node, styles, context[:fields], hidden: @options["hidden"])
        index = @counters[:paragraph] += 1
        unit =
          Unit.new(
            id: "#{short(story.path)}:#{index}",
            location: location(context, paragraph, index),
            block: block(context, paragraph),
            content: paragraph.content,
            look: paragraph.look
          )
        @places << Place.new(unit: unit, paragraph: paragraph, mirrors: [], part: story.path)
        # Text boxes and pictures that hang in this paragraph.
        unless paragraph.flat?
          node.element_children.each { |child| walk(child, story, inside) unless child.name == "pPr" }
        end
      end

      def block(context, paragraph)
        return "text-box" if context[:where] == "text box"
        return context[:where] == "body" ? "cell" : context[:where] if context[:table]
        return context[:where].sub("footnote", "note").sub("endnote", "note") unless context[:where] == "body"

        paragraph.block
      end

      def location(context, paragraph, index)
        where = context[:where].tr(" ", "-")
        return context[:table] || Location.block(paragraph.block, index) if where == "body"

        note = context[:note] && Location.new(where, number: context[:note])
        table = context[:table] && context[:table].merge("within" => note || Location.new(where)).freeze
        table || note || Location.new(where)
      end
    end
  end
end

require "glossema/formats/office/docx/styles"
require "glossema/formats/office/docx/paragraph"
require "glossema/formats/office/docx/page"
require "glossema/formats/office/docx/results"
require "glossema/formats/office/docx/direction"
