# What texts, slides and sheets in ODF share: styles, paragraphs with their looks, tables, lists, boxes,
# charts, alternative texts and the title. Tracked changes are read as accepted; generated indexes, comments
# and computed fields stay.
require "glossema/formats/office/odf/charts"
require "glossema/formats/office/odf/controls"

module Glossema
  module Formats
    class Odf < Package
      include Charts
      include Controls

      SKIPPED = %w[tracked-changes annotation index-body table-of-content-source forms notes].freeze

      ROOT_TYPE = %r{full-path="/"[^>]*media-type="([^"]*)"|media-type="([^"]*)"[^>]*full-path="/"}n

      def self.recognises?(bytes, name)
        return false unless Container.zip?(bytes)

        container = Container.new(bytes, name)
        container.entry?("content.xml") && media_type(container).start_with?(self::MEDIA_TYPE)
      end

      # As it says itself, or where that is left out its list of parts.
      def self.media_type(container)
        said = container.read("mimetype").to_s
        return said unless said.empty?

        found = container.read("META-INF/manifest.xml").to_s.b.match(ROOT_TYPE)
        found ? found.captures.compact.first : ""
      end

      def self.value(node, name) =
        node.attribute_nodes.find { |attribute| attribute.node_name == name }&.value

      def initialize(bytes, name, options)
        super
        if container.read("META-INF/manifest.xml").to_s.include?("encryption-data")
          raise Refused.new("locked.password", name: name)
        end

        @styles = Styles.new([parse("styles.xml"), parse("content.xml")].compact)
        if body
          read
          read_controls
        end
        read_title if @options["title"]
        @units = @places.map(&:unit)
      end

      def source_language = @styles.language

      def page(&block)
        places = @places.select(&:paragraph).to_h { |place| [place.paragraph.node.pointer_id, place] }
        html(body, places, block)
      end

      # What stands around the text of a part, as a string to compare.
      def frame(path)
        xml = container.xml(path).dup
        Direction.without(xml)
        Controls.without(xml)
        xml.xpath("//*[local-name()='p' or local-name()='h']").each { |node| node.children.each(&:unlink) }
        blank = %w[title desc index-title-template].map { |name| "local-name()='#{name}'" }.join(" or ")
        xml.xpath("//*[#{blank}]").each { |node| node.content = "" }
        xml.canonicalize
      end

      private

      def put(contents, target_language)
        before = copied_texts
        parts = super
        parts | renew_copies(before)
      end

      def computed_results = Results.new(turned_parts.to_h { |path| [path, parse(path)] })

      def turned_parts = %w[content.xml styles.xml].select { |path| container.entry?(path) }

      def turn_around(direction)
        turned_parts.each { |path| Direction.turn(parse(path).root, direction) }
      end

      def body =
        @body ||=
          parse("content.xml").at_xpath("//*[local-name()='body']/*[local-name()='#{self.class::BODY}']")

      def walk(node, part, context)
        node.element_children.each do |child|
          case child.name
          when "annotation"
            walk(child, part, { where: "comment" }) if @options["comments"]
          when "index-body"
            index_title(child, part, context)
          when *SKIPPED
            next
          when "p", "h"
            paragraph(child, part, context)
          when "table"
            walk_table(child, part, context)
          when "list-item", "list-header"
            walk(child, part, context.merge(list: true))
          when "text-box"
            walk(child, part, context.merge(where: "text box", list: false))
          when "note"
            walk(
              child.element_children.find { |inner| inner.name == "note-body" } || child,
              part,
              { where: "note" }
            )
          when "title", "desc"
            alt_text(child, part) if child.namespace&.href.to_s.include?("svg")
          when "object"
            object(child)
          else
            walk(child, part, context)
          end
        end
      end

      # Of contents and other indexes only their headings are written by hand; entries follow the text.
      def index_title(body, part, context)
        title = body.element_children.find { |child| child.name == "index-title" }
        walk(title, part, context) if title
      end

      def walk_table(table, part, context)
        number = @counters[:table] += 1
        rows =
          table
            .xpath(".//*[local-name()='table-row']")
            .select { |row| row.ancestors.find { |parent| parent.name == "table" } == table }
        rows.each_with_index do |row, r|
          row.element_children.each_with_index do |cell, c|
            if cell.name == "table-cell"
              walk(cell, part,
                context.merge(table: Location.new("table", number: number, row: r + 1, column: c + 1)))
            end
          end
        end
      end

      # An embedded object: of those only charts are read.
      def object(node) = read_chart("#{Odf.value(node, "href").to_s.delete_prefix("./")}/content.xml")

      def paragraph(node, part, context)
        paragraph = Paragraph.new(node, @styles, hidden: @options["hidden"])
        index = @counters[part] += 1
        block = block_of(node, context)
        unit =
          Unit.new(
            id: "#{part.delete_suffix(".xml").tr("/", "-")}:#{index}",
            location: location_of(block, index, context),
            block: block,
            content: paragraph.content,
            look: paragraph.look
          )
        @places << Place.new(unit: unit, paragraph: paragraph, part: part)
        # Notes, text boxes and pictures that hang in this paragraph.
        walk(node, part, context.merge(list: false))
      end

      def location_of(block, index, context)
        return context[:location] || context[:table] if context[:location] || context[:table]

        context[:where] == "body" ? Location.block(block, index) : Location.new(context[:where].tr(" ", "-"))
      end

      def block_of(node, context)
        return context[:block] if context[:block]
        return context[:where].tr(" ", "-") unless context[:where] == "body"
        return "cell" if context[:table]
        return "heading-#{Odf.value(node, "outline-level").to_i.clamp(1, 6)}" if node.name == "h"

        context[:list] ? "list-item" : "paragraph"
      end

      def alt_text(node, part)
        return if !@options["alt_texts"] || !node.text.match?(/\p{L}/)

        id = "#{short(part)}:alt#{@counters[:alt] += 1}"
        take_attribute(node, id: id, location: Location.new("alternative-text"), part: part,
          block: "alt-text")
      end

      def read_margins
        return unless container.entry?("styles.xml")

        parse("styles.xml")
          .xpath(
            "//*[local-name()='master-page']/*[starts-with(local-name(), 'header') or " \
              "starts-with(local-name(), 'footer')]"
          )
          .each { |node| walk(node, "styles.xml", { where: node.name[/\A(?:header|footer)/] }) }
      end

      def read_title
        node = container.entry?("meta.xml") && parse("meta.xml").at_xpath("//*[local-name()='title']")
        take_attribute(node || nil, id: "title", location: Location.new("document-title"), part: "meta.xml")
      end

      def html(node, places, block)
        node
          .element_children
          .map do |child|
            case child.name
            when *SKIPPED
              ""
            when "p", "h"
              line(places[child.pointer_id], block) + html(child, places, block)
            when "table"
              "<table>#{html(child, places, block)}</table>"
            when "table-row"
              "<tr>#{html(child, places, block)}</tr>"
            when "table-cell"
              "<td>#{html(child, places, block)}</td>"
            when "image"
              picture(child) + html(child, places, block)
            else
              html(child, places, block)
            end
          end
          .join
      end

      def picture(node)
        path = node.attributes.values.find { |attribute| attribute.node_name == "href" }.to_s
        Pictures.figure(path, container.read(path.delete_prefix("./")))
      end

      def line(place, block)
        return "" if place.nil? || place.unit.content.blank?

        text = block.call(place.unit)
        case place.unit.block
        when /\Aheading-(\d)/
          "<h#{Regexp.last_match(1)}>#{text}</h#{Regexp.last_match(1)}>"
        when "list-item"
          "<p class=\"item\" style=\"--level:0\" data-mark=\"•\">#{text}</p>"
        else
          "<p>#{text}</p>"
        end
      end
    end
  end
end

require "glossema/formats/office/odf/styles"
require "glossema/formats/office/odf/paragraph"
require "glossema/formats/office/odf/results"
require "glossema/formats/office/odf/direction"
