# What the office formats in OOXML share: parts and their relations, places of text in them, writing what
# changed, and the comparison of all the rest.
require "glossema/formats/office/ooxml/controls"

module Glossema
  module Formats
    class Ooxml < Package
      include Controls

      TYPES = "[Content_Types].xml".freeze

      # A part that holds text. kind: body, header, footer, footnote, endnote, comment, slide, notes, chart,
      # diagram, master.
      Story = Struct.new(:path, :kind, :xml, :number, keyword_init: true)

      # Formats say FAMILY, a word of their content types ("wordprocessingml"), and DEFAULTS, their options.
      def self.recognises?(bytes, name)
        return false unless Container.zip?(bytes)

        container = Container.new(bytes, name)
        container.entry?(TYPES) && container.read(TYPES).include?(self::FAMILY) && !main_path(container).nil?
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

        container
          .xml(path)
          .root
          .element_children
          .filter_map do |node|
            next if node["TargetMode"] == "External"

            target = node["Target"].to_s
            full = target.start_with?("/") ? target[1..] : File.expand_path(target, "/#{folder}")[1..]
            { type: node["Type"].to_s.split("/").last, target: full, id: node["Id"] }
          end
      end

      attr_reader :stories

      def initialize(bytes, name, options)
        super
        @main = self.class.main_path(@container)
        unless @main && @container.entry?(@main)
          raise Refused.new("damaged.no-main-part", name: name)
        end

        @relations = self.class.relations(@container, @main)
        read
        read_title if @options["title"] && !bilingual?
        @units = @places.map(&:unit)
      end

      # What stands around the text of a part, as a string to compare.
      def frame(path)
        xml = container.xml(path).dup
        xml
          .xpath("//*[local-name()='p']")
          .each { |node|
          node.children.each { |child|
            child.unlink unless %w[pPr endParaRPr].include?(child.name)
          }
        }
        without_direction(xml)
        Controls.without_words(xml)
        xml.xpath(CACHED).each { |node| node.content = "" }
        xml
          .xpath("//*[local-name()='cNvPr' or local-name()='docPr']")
          .each { |node| %w[descr title].each { |name| node.remove_attribute(name) } }
        xml.xpath("//*[local-name()='title']").each { |node| node.content = "" } if path == title_path
        xml.canonicalize
      end

      def relation_target(part, id)
        (@targets ||= {})[part] ||= self
          .class
          .relations(container, part)
          .to_h { |relation| [relation[:id], relation[:target]] }
        @targets[part][id]
      end

      private

      # What may change where a translation runs the other way.
      def without_direction(xml)
        xml.xpath("//*[local-name()='bidi' or local-name()='bidiVisual']").each(&:unlink)
        xml.xpath("//@rtl | //@rtlCol | //@algn | //@rightToLeft").each(&:unlink)
        xml.xpath("//*[local-name()='pPr' or local-name()='tblPr'][not(@*) and not(*)]").each(&:unlink)
      end

      # The relations of a part of one type, as full paths that exist.
      def related(part, type)
        list = part == @main ? @relations : self.class.relations(container, part)
        list
          .select { |relation| relation[:type] == type && container.entry?(relation[:target]) }
          .map { |relation| relation[:target] }
          .uniq
      end

      # Takes alternative text and title of a picture or shape.
      def alt_text(node, story)
        return if !@options["alt_texts"] || bilingual?

        %w[descr title].each do |name|
          attribute = node.attribute(name)
          text = attribute&.value.to_s
          next if !text.match?(/\p{L}/) || text.match?(/\A\S+\.(?:png|jpe?g|gif|emf|wmf|svg|bmp|tiff?)\z/i)

          take_attribute(
            attribute,
            id: "#{short(story.path)}:alt#{@counters[:alt] += 1}",
            location: Location.new(name == "descr" ? "alternative-text" : "picture-title"),
            part: story.path,
            block: "alt-text"
          )
        end
      end

      def title_path =
        self
          .class
          .relations(container, "")
          .find { |relation| relation[:type] == "core-properties" }
          &.fetch(:target)

      def read_title
        path = title_path
        node = path && container.entry?(path) && parse(path).at_xpath("//*[local-name()='title']")
        take_attribute(node || nil, id: "title", location: Location.new("document-title"), part: path)
      end

      # A part of DrawingML text (a chart, a diagram, a slide): every paragraph in order is a unit. The block
      # is given each paragraph's node and answers [block, location] of its unit, or nil to pass it over.
      def read_drawing(story)
        story
          .xml
          .root
          .xpath(".//*[local-name()='p']")
          .each do |node|
            paragraph = Drawing.new(node, ->(id) { link_target(story.path, id) })
            block, location = yield(node)
            next unless block

            unit =
              Unit.new(
                id: "#{short(story.path)}:#{@counters[story.path] += 1}",
                location: location,
                block: block,
                content: paragraph.content,
                look: paragraph.look
              )
            @places << Place.new(unit: unit, paragraph: paragraph, mirrors: [], part: story.path)
          end
      end

      # Texts that a chart keeps of the table it was drawn from: names of series and categories.
      CACHED = ".//*[local-name()='strCache' or local-name()='multiLvlStrCache']//*[local-name()='v']".freeze

      # What charts show of tables that are not seen themselves. The same text goes the same way wherever it
      # stands in a chart.
      def read_cached(path, xml)
        nodes = xml.root.xpath(CACHED).select { |node| node.text.match?(/\p{L}/) }
        nodes.group_by(&:text).each_value do |same|
          first, *others = same.map { |node| TextOnly.new(node) }
          id = "#{short(path)}:c#{@counters["cached #{path}"] += 1}"
          unit = Unit.new(id: id, location: Location.new("chart"), block: "chart", content: first.content,
            look: "")
          mirrors = others.map { |other| Place.new(paragraph: other, part: path) }
          @places << Place.new(unit: unit, paragraph: first, mirrors: mirrors, part: path)
        end
      end

      # Charts and diagrams of a part; the drawn copy of a diagram repeats its texts.
      def read_graphics(part)
        related(part, "chart").each do |path|
          xml = readable(path) or next
          read_drawing(Story.new(path: path, kind: "chart", xml: xml)) { ["chart", Location.new("chart")] }
          read_cached(path, xml)
        end
        drawn = related(part, "diagramDrawing")
        related(part, "diagramData").each_with_index do |path, index|
          from = @places.size
          xml = readable(path) or next
          read_drawing(Story.new(path: path, kind: "diagram", xml: xml)) {
            ["diagram", Location.new("diagram")]
          }
          mirror(drawn[index], @places[from..]) if drawn[index] && readable(drawn[index])
        end
      end

      def mirror(path, shown)
        waiting = shown.group_by { |place| place.unit.content.text }
        parse(path)
          .root
          .xpath(".//*[local-name()='p']")
          .each do |node|
            repeat = Drawing.new(node, ->(id) { link_target(path, id) })
            twins = waiting[repeat.content.text] or next
            place = twins.size > 1 ? twins.shift : twins.first
            place.mirrors << Place.new(paragraph: repeat, part: path)
          end
      end

      def link_target(part, id)
        @links ||= {}
        @links[part] ||= begin
          folder, file = File.split(part)
          path = "#{folder}/_rels/#{file}.rels"
          if container.entry?(path)
            parse(path).root.element_children.to_h { |node| [node["Id"], node["Target"]] }
          else
            {}
          end
        end
        @links[part][id] || id
      end
    end
  end
end
