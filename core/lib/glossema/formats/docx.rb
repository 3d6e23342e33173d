# DOCX (also DOCM, DOTX, DOTM): body, tables, headers, footers, notes, text boxes, alt texts and the title.
#
# A paragraph is a unit. Writing replaces the inline content of those paragraphs whose text changed; everything else of the
# file stays as it was. Tracked changes are read as accepted; results of computed fields and hidden text stay.
require "glossema/formats/docx/styles"
require "glossema/formats/docx/paragraph"
require "glossema/formats/docx/page"

module Glossema
  module Formats
    class Docx
      NAME = "DOCX".freeze
      EXTENSIONS = %w[docx docm dotx dotm].freeze
      MEDIA_TYPE = "application/vnd.openxmlformats-officedocument.wordprocessingml.document".freeze
      STORIES = { "header" => "header", "footer" => "footer", "footnotes" => "footnote", "endnotes" => "endnote", "comments" => "comment" }.freeze
      TYPES = "[Content_Types].xml".freeze

      # A paragraph or attribute that holds the text of a unit, and those that repeat it for older readers.
      Place = Struct.new(:unit, :paragraph, :mirrors, :attribute, :part, keyword_init: true)

      # A part that holds text. kind: body, header, footer, footnote, endnote, comment.
      Story = Struct.new(:path, :kind, :xml, keyword_init: true)

      def self.recognises?(bytes, name)
        return false unless Container.zip?(bytes)

        container = Container.new(bytes, name)
        container.entry?(TYPES) && container.read(TYPES).include?("wordprocessingml") && !main_path(container).nil?
      end

      def self.main_path(container)
        relations(container, "").find { |relation| relation[:type] == "officeDocument" }&.fetch(:target)
      end

      # The relations of a part ("" for the package): array of {type:, target:, id:} with full paths.
      def self.relations(container, part)
        folder, file = File.split(part)
        folder = "" if folder == "."
        path = [folder, "_rels", "#{file}.rels"].reject(&:empty?).join("/")
        path = "_rels/.rels" if part.empty?
        return [] unless container.entry?(path)

        container.xml(path).root.element_children.filter_map do |node|
          next if node["TargetMode"] == "External"

          target = node["Target"].to_s
          full = target.start_with?("/") ? target[1..] : File.expand_path(target, "/#{folder}")[1..]
          { type: node["Type"].to_s.split("/").last, target: full, id: node["Id"] }
        end
      end

      def self.read(bytes, name:, options: {}) = new(bytes, name, options)

      attr_reader :units, :options, :container, :styles, :stories

      # options: "comments" (false), "alt_texts" (true), "title" (true), "headers" (true), "hidden" (false).
      def initialize(bytes, name, options)
        @name = name
        @options = { "comments" => false, "alt_texts" => true, "title" => true, "headers" => true, "hidden" => false }.merge(options)
        @container = Container.new(bytes, name)
        main = self.class.main_path(@container)
        raise Refused.new("damaged", "#{name} is damaged: its main part is missing.") unless main && @container.entry?(main)

        @relations = self.class.relations(@container, main)
        @styles = Styles.new(part_xml("styles"), part_xml("numbering"))
        @stories = stories_of(main)
        @places = []
        @stories.each { |story| read_story(story) }
        read_title if @options["title"]
        @units = @places.map(&:unit)
      end

      def source_language = styles.language

      def write(contents, target_language: nil)
        return container.bytes if contents.empty?

        # A copy is changed, so that this one can be written again.
        container.write(self.class.new(container.bytes, @name, @options).apply(contents, target_language))
      end

      def preview(&block) = Page.new(self, @places, block).html

      # Parts that differ from those of the other file although nothing in them was to be translated; for parts with text,
      # whether anything but the text differs.
      def untouched(other)
        textual = @places.map(&:part).uniq
        names = container.entries
        return ["the list of parts"] if names != other.container.entries

        names.reject do |name|
          container.read(name) == other.container.read(name) || (textual.include?(name) && frame(name) == other.frame(name))
        end
      end

      # What stands around the text of a part, as a string to compare.
      def frame(path)
        xml = container.xml(path).dup
        xml.xpath("//*[local-name()='p']").each { |node| node.element_children.each { |child| child.unlink unless child.name == "pPr" } if node.namespace&.prefix != "a" }
        xml.xpath("//*[local-name()='title']").each { |node| node.content = "" } if path == title_path
        xml.canonicalize
      end

      # Puts the contents in place in this copy; returns {path => bytes} of the parts that changed.
      def apply(contents, target_language)
        parts = {}
        @places.each do |place|
          content = contents[place.unit.id] or next
          if place.attribute then place.attribute.content = content.text
          else [place.paragraph, *place.mirrors].each { |paragraph| paragraph.write(content, target_language) }
          end
          parts[place.part] = true
        end
        parts.to_h { |path, _| [path, @parsed.fetch(path).then { |xml| xml.to_xml(encoding: xml.encoding || "UTF-8", save_with: Nokogiri::XML::Node::SaveOptions::AS_XML) }] }
      end

      def relation_target(part, id)
        (@targets ||= {})[part] ||= self.class.relations(container, part).to_h { |relation| [relation[:id], relation[:target]] }
        @targets[part][id]
      end

      private

      def parse(path) = (@parsed ||= {})[path] ||= container.xml(path)

      def part_xml(type)
        target = @relations.find { |relation| relation[:type] == type }&.fetch(:target)
        target && container.entry?(target) ? parse(target) : nil
      end

      def stories_of(main)
        list = [Story.new(path: main, kind: "body", xml: parse(main))]
        STORIES.each do |type, kind|
          next if kind == "comment" && !@options["comments"]
          next if %w[header footer].include?(kind) && !@options["headers"]

          @relations.select { |relation| relation[:type] == type && container.entry?(relation[:target]) }.map { |relation| relation[:target] }.uniq.each do |path|
            list << Story.new(path: path, kind: kind, xml: parse(path))
          end
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
          when "p" then child.namespace&.prefix == "a" ? next : paragraph(child, story, context)
          when "tbl" then walk_table(child, story, context)
          when "txbxContent" then walk(child, story, context.merge(fields: [], where: "text box", table: nil))
          when "footnote", "endnote", "comment"
            next if %w[separator continuationSeparator].include?(Styles.value(child, "type"))

            walk(child, story, context.merge(fields: [], note: Styles.value(child, "id")))
          when "AlternateContent" then alternate(child, story, context)
          when "docPr" then alt_text(child, story)
          when "del", "moveFrom" then next
          else walk(child, story, context)
          end
        end
      end

      def walk_table(table, story, context)
        number = @counters[:table] += 1
        table.xpath("./*[local-name()='tr'] | ./*[local-name()='sdt']//*[local-name()='tr']").each_with_index do |row, r|
          row.xpath("./*[local-name()='tc'] | ./*[local-name()='sdt']/*[local-name()='sdtContent']/*[local-name()='tc']").each_with_index do |cell, c|
            walk(cell, story, context.merge(table: "table #{number} · row #{r + 1} · column #{c + 1}"))
          end
        end
      end

      # Newer readers show the first choice, older ones the fallback: the same text twice.
      def alternate(node, story, context)
        choice, *others = node.element_children.to_a
        return unless choice

        before = @places.size
        walk(choice, story, context)
        shown = @places[before..].select { |place| place.paragraph && place.unit }
        others.each do |other|
          other.xpath(".//*[local-name()='txbxContent']//*[local-name()='p']").each_with_index do |repeat, index|
            twin = shown.select { |place| place.paragraph.node.ancestors.include?(choice) }[index]
            if twin && twin.paragraph.node.xpath(".//*[local-name()='t']").map(&:text).join == repeat.xpath(".//*[local-name()='t']").map(&:text).join
              twin.mirrors << Paragraph.new(repeat, styles, [], hidden: @options["hidden"])
            else
              paragraph(repeat, story, context.merge(fields: [], where: "text box"))
            end
          end
        end
      end

      def paragraph(node, story, context)
        inside = context.merge(fields: [])
        paragraph = Paragraph.new(node, styles, context[:fields], hidden: @options["hidden"])
        index = @counters[:paragraph] += 1
        unit = Unit.new(id: "#{short(story.path)}:#{index}", path: path(context, paragraph, index), block: block(context, paragraph), content: paragraph.content, look: paragraph.look)
        @places << Place.new(unit: unit, paragraph: paragraph, mirrors: [], part: story.path)
        # Text boxes and pictures that hang in this paragraph.
        node.element_children.each { |child| walk(child, story, inside) unless child.name == "pPr" }
      end

      def alt_text(node, story)
        return unless @options["alt_texts"]

        %w[descr title].each do |name|
          attribute = node.attribute(name)
          text = attribute&.value.to_s
          next if !text.match?(/\p{L}/) || text.match?(/\A\S+\.(?:png|jpe?g|gif|emf|wmf|svg|bmp|tiff?)\z/i)

          unit = Unit.new(id: "#{short(story.path)}:alt#{@counters[:alt] += 1}", path: name == "descr" ? "alternative text of a picture" : "title of a picture", block: "alt-text", content: Content.text(text))
          @places << Place.new(unit: unit, attribute: attribute, part: story.path)
        end
      end

      def title_path = self.class.relations(container, "").find { |relation| relation[:type] == "core-properties" }&.fetch(:target)

      def read_title
        path = title_path
        node = path && container.entry?(path) && parse(path).at_xpath("//*[local-name()='title']")
        return unless node && node.text.match?(/\p{L}/)

        unit = Unit.new(id: "title", path: "title of the document", block: "property", content: Content.text(node.text))
        @places << Place.new(unit: unit, attribute: node, part: path)
      end

      def short(path) = File.basename(path, ".xml")

      def block(context, paragraph)
        return "text-box" if context[:where] == "text box"
        return context[:where] == "body" ? "cell" : context[:where] if context[:table]
        return context[:where].sub("footnote", "note").sub("endnote", "note") unless context[:where] == "body"

        paragraph.block
      end

      def path(context, paragraph, index)
        place = context[:table] || (context[:where] == "body" ? "#{paragraph.block.sub(/-\d/, '').tr('-', ' ')} #{index}" : context[:where])
        context[:note] ? "#{place} #{context[:note]}" : place
      end
    end
  end
end
