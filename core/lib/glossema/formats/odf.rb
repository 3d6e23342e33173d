# What texts, slides and sheets in ODF share: styles, paragraphs with their looks, tables, lists, boxes,
# charts, alternative texts and the title. Tracked changes are read as accepted; generated indexes, comments
# and computed fields stay.
module Glossema
  module Formats
    class Odf < Package
      SKIPPED = %w[tracked-changes annotation index-body table-of-content-source forms notes].freeze

      def self.recognises?(bytes, name)
        return false unless Container.zip?(bytes)

        container = Container.new(bytes, name)
        container.read("mimetype").to_s.start_with?(self::MEDIA_TYPE) && container.entry?("content.xml")
      end

      def self.value(node, name) =
        node.attribute_nodes.find { |attribute| attribute.node_name == name }&.value

      def initialize(bytes, name, options)
        super
        if container.read("META-INF/manifest.xml").to_s.include?("encryption-data")
          raise Refused.new(
            "locked",
            "#{name} is locked with a password. Ask for one without, and drop it here."
          )
        end

        @styles = Styles.new([parse("styles.xml"), parse("content.xml")].compact)
        read if body
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
        xml.xpath("//*[local-name()='p' or local-name()='h']").each { |node| node.children.each(&:unlink) }
        blank = %w[title desc index-title-template].map { |name| "local-name()='#{name}'" }.join(" or ")
        xml.xpath("//*[#{blank}]").each { |node| node.content = "" }
        xml.canonicalize
      end

      private

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
              walk(cell, part, context.merge(table: "table #{number} · row #{r + 1} · column #{c + 1}"))
            end
          end
        end
      end

      # What a chart says in words of its own.
      def object(node)
        path = Odf.value(node, "href").to_s.delete_prefix("./")
        part = "#{path}/content.xml"
        return unless container.entry?(part)

        chart = readable(part) or return
        chart
          .xpath(
            "//*[local-name()='chart']//*[local-name()='title' or local-name()='subtitle' or " \
              "local-name()='footer']/*[local-name()='p']"
          )
          .each { |line| paragraph(line, part, { where: "chart" }) }
      end

      def paragraph(node, part, context)
        paragraph = Paragraph.new(node, @styles, hidden: @options["hidden"])
        index = @counters[part] += 1
        block = block_of(node, context)
        path =
          context[:path] || context[:table] ||
          (context[:where] == "body" ? "#{block.sub(/-\d/, "").tr("-", " ")} #{index}" : context[:where])
        unit =
          Unit.new(
            id: "#{part.delete_suffix(".xml").tr("/", "-")}:#{index}",
            path: path,
            block: block,
            content: paragraph.content,
            look: paragraph.look
          )
        @places << Place.new(unit: unit, paragraph: paragraph, part: part)
        # Notes, text boxes and pictures that hang in this paragraph.
        walk(node, part, context.merge(list: false))
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

        unit =
          Unit.new(
            id: "#{File.basename(part, ".xml")}:alt#{@counters[:alt] += 1}",
            path: "alternative text of a picture",
            block: "alt-text",
            content: Content.text(node.text)
          )
        @places << Place.new(unit: unit, attribute: node, part: part)
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
        return unless node && node.text.match?(/\p{L}/)

        @places << Place.new(
          unit:
            Unit.new(
              id: "title",
              path: "title of the document",
              block: "property",
              content: Content.text(node.text)
            ),
          attribute: node,
          part: "meta.xml"
        )
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
            else
              html(child, places, block)
            end
          end
          .join
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

      # The looks of an ODT: what a run looks like once its styles are resolved.
      class Styles
        NOISE =
          /\A(?:language|country|script|hyphenat|rsid|paragraph-rsid|letter-kerning|rfc-language|use-window-font-color|loext)/
        NOTHING = {
          "font-weight" => "normal",
          "font-style" => "normal",
          "u" => "none",
          "strike" => "none",
          "text-position" => "0% 100%",
          "shd" => "transparent",
          "text-transform" => "none",
          "font-variant" => "normal",
          "letter-spacing" => "normal",
          "text-shadow" => "none",
          "text-blinking" => "false"
        }.freeze
        NAMES = {
          "text-underline-style" => "u",
          "text-line-through-style" => "strike",
          "background-color" => "shd"
        }.freeze
        ONLY_WITH_LINE = /\Atext-(?:underline|line-through)-/

        attr_reader :language

        def initialize(parts)
          @styles = {}
          parts.each do |xml|
            xml
              .xpath("//*[local-name()='style']")
              .each { |style| @styles[[Odf.value(style, "family"), Odf.value(style, "name")]] = style }
            default =
              xml.at_xpath(
                "//*[local-name()='default-style'][@*[local-name()='family']='paragraph']/*[local-name()='t" \
                  "ext-properties']"
              )
            @default = properties(default) if default
            @language ||= default && tag(default)
          end
        end

        # names: nested character styles, outermost first; paragraph: the paragraph's style or nil.
        def effective(names, paragraph)
          (@effective ||= {})[[names, paragraph]] ||= (
            [@default || {}, chain("paragraph", paragraph)] + names.map { |name| chain("text", name) }
          ).reduce(:merge).reject { |name, value| NOTHING[name] == value }.freeze
        end

        # The canonical look of a text with these properties: only what shows in a text of its scripts.
        def look(properties, text)
          plain = text.ascii_only?
          asian, complex =
            !plain && text.match?(Docx::Styles::EAST_ASIAN_TEXT),
            !plain && text.match?(Docx::Styles::COMPLEX_TEXT)
          @looks ||= {}.compare_by_identity
          (@looks[properties] ||= {})[[asian, complex]] ||= properties
            .reject do |name, _|
              (name.end_with?("-asian") && !asian) || (name.end_with?("-complex") && !complex)
            end
            .sort
            .map { |name, value| "#{name}:#{value}" }
            .join("|")
        end

        private

        def chain(family, name)
          (@chains ||= {})[[family, name]] ||= begin
            style, seen, result = @styles[[family, name]], [], {}
            while style && !seen.include?(style)
              seen << style
              style = @styles[[family, Odf.value(style, "parent-style-name")]]
            end
            seen.reverse_each do |one|
              result =
                result.merge(
                  properties(one.element_children.find { |child| child.name == "text-properties" })
                )
            end
            result
          end
        end

        def properties(node)
          return {} unless node

          all =
            node.attribute_nodes.to_h do |attribute|
              [NAMES.fetch(attribute.node_name, attribute.node_name), attribute.value]
            end
          all.reject do |name, _|
            name.match?(NOISE) || name.match?(ONLY_WITH_LINE) ||
              name.end_with?("-pitch", "-charset", "-family-generic")
          end
        end

        def tag(node)
          values = %w[language country].map { |name| Odf.value(node, name) }
          found = values.reject { |value| value.nil? || value == "none" }.join("-")
          found if Languages.valid?(found)
        end
      end

      # One paragraph or heading.
      class Paragraph
        include Runs

        NOISE = %w[soft-page-break].freeze
        STARTS = /-start\z/
        MARKS =
          /\A(?:bookmark|reference-mark|change|toc-mark|alphabetical-index-mark|user-index-mark|annotation)(?:-start|-end)?\z|\Ahidden-/
        TRANSPARENT = %w[meta].freeze

        attr_reader :node, :content

        def initialize(node, styles, hidden: false)
          @node, @styles, @hidden = node, styles, hidden
          @style = Odf.value(node, "style-name")
          @blank = true
          @content = content_of(trimmed(entries(node, [])))
        end

        # Words with one blank between each two.
        PLAIN = /[^ \t\n]+(?: [^ \t\n]+)*/

        def write(content, _target_language)
          return @node.content = content.text if @base.to_a.empty? && !content.coded? &&
            content.text.match?(/\A#{PLAIN}\z/o)

          @node.children.each(&:unlink)
          parents, looks, used = [@node], [@base], {}
          @written = false
          content.well_formed.items.each do |item|
            if item.is_a?(String)
              put_text(item, looks.last || [], parents.last)
            elsif item.alone?
              put_alone(item, parents.last, used)
            elsif item.key.start_with?("f")
              item.open? ? looks.push(@originals[item.key]) : looks.pop
            elsif item.open?
              entry, inner = @originals[item.key]
              parents << Nodes.copy(entry.element, shallow: true).tap { |shell| parents.last << shell }
              looks << inner
            else
              parents.pop
              looks.pop
            end
          end
        end

        private

        def entries(parent, names)
          parent.children.flat_map do |child|
            next text_entry(child.text, names) if child.text? || child.cdata?
            next [] unless child.element?

            case child.name
            when "span"
              span(child, names + [Odf.value(child, "style-name")].compact)
            when "s"
              [spaces(child, names)]
            when "tab"
              alone("tab", "tab", "\t", child)
            when "line-break"
              alone("break", "line break", "\n", child)
            when "a"
              [link(child, names)]
            when *NOISE
              []
            when *TRANSPARENT
              entries(child, names)
            when MARKS
              alone(child.name.match?(STARTS) ? "anchor-start" : "anchor-end", "", "", child, blank: @blank)
            else
              other(child)
            end
          end
        end

        # Hidden text stays where it is.
        def span(child, names)
          hidden = !@hidden && @styles.effective(names, @style)["display"] == "none"
          hidden ? alone("anchor-end", "", "", child, blank: @blank) : entries(child, names)
        end

        # White space is folded over element borders, as the standard says.
        def text_entry(text, names)
          folded = text.gsub(/[ \t\r\n]+/, " ")
          folded = folded.delete_prefix(" ") if @blank
          return [] if folded.empty?

          @blank = folded.end_with?(" ")
          [Text.new(folded, names, @styles.effective(names, @style), nil)]
        end

        def spaces(child, names)
          @blank = false
          count = Odf.value(child, "c").to_i
          Text.new(" " * [count, 1].max, names, @styles.effective(names, @style), nil)
        end

        def link(child, names)
          href = Odf.value(child, "href")
          Wrap.new("link", "link", "link:#{href}", child, nil, nil, entries(child, names))
        end

        def other(child)
          case child.name
          when "note"
            alone("footnote-mark", "footnote mark", "", child)
          when "frame", "g", "rect", "custom-shape", "line", "control", "object", "image"
            alone("picture", "picture", "", child, blank: @blank)
          else
            alone("field", "#{child.name.tr("-", " ")} #{child.text.strip}".strip[0, 30], "", child,
              wrap: identity(child))
          end
        end

        # What tells a field from others, whatever it shows.
        def identity(child)
          attributes = child.attribute_nodes.reject { |attribute| attribute.node_name == "style-name" }
          "field:#{child.name} #{attributes.map { |one| "#{one.node_name}=#{one.value}" }.sort.join(" ")}"
        end

        def alone(type, display, equiv, child, blank: false, wrap: nil)
          @blank = blank
          [Alone.new(type, display, equiv, [[:bare, child]], wrap)]
        end

        # Blanks at the very end do not show.
        def trimmed(list)
          last = list.last
          return list unless last.is_a?(Text) && last.text.end_with?(" ") && @blank

          last.text = last.text.delete_suffix(" ")
          last.text.empty? ? list[0...-1] : list
        end

        def look_of(props, text) = @styles.look(props, text)

        def words_of(props, base)
          added = ->(name) { props[name] && props[name] != base[name] }
          list = []
          list << "bold" if added.call("font-weight")
          list << "italic" if added.call("font-style")
          list << "underline" if added.call("u")
          list << "strike" if added.call("strike")
          if added.call("text-position")
            list << (props["text-position"].start_with?("sub", "-") ? "sub" : "super")
          end
          list
        end

        def plain_props = @styles.effective([], @style)
        def shows_on_space?(text) = text.props.keys.intersect?(%w[u strike shd])

        def put_text(text, names, parent)
          names.each do |name|
            span = element("span")
            span["#{prefix}style-name"] = name
            parent << span
            parent = span
          end
          text.scan(/#{PLAIN}|[ ]+|\t|\n/o) { |piece| put_piece(piece, parent) }
        end

        def put_piece(piece, parent)
          if piece.start_with?(" ")
            single = @written && !@after_space
            parent << Nokogiri::XML::Text.new(" ", @node.document) if single
            rest = piece.length - (single ? 1 : 0)
            parent << element("s").tap do |space|
              space["#{prefix}c"] = rest.to_s if rest > 1
            end if rest.positive?
            @after_space = true
          else
            parent << (
              { "\t" => element("tab"), "\n" => element("line-break") }[piece] ||
                Nokogiri::XML::Text.new(piece, @node.document)
            )
            @after_space = false
          end
          @written = true
        end

        def put_alone(code, parent, used)
          (@originals[code.key] || []).each do |_, original|
            without_blanks(original) if code.anchor?
            parent << (used[code.key] ? Nodes.copy(original) : original)
          end
          used[code.key] = true
          # What takes no room in the text does not part one blank from the next.
          @after_space = false unless code.anchor? || code.type == "picture"
          @written = true unless code.anchor? || code.type == "picture"
        end

        # Blanks that did not show where a mark stood could show where it comes to stand.
        def without_blanks(node)
          node.xpath(".//text()").each { |text| text.unlink if text.text.match?(/\A[ \t\r\n]*\z/) }
        end

        def prefix = "#{@node.namespace.prefix}:"

        def element(name) =
          Nokogiri::XML::Node.new(name, @node.document).tap { |made| made.namespace = @node.namespace }
      end
    end
  end
end

require "glossema/formats/odf/results"
require "glossema/formats/odf/direction"
