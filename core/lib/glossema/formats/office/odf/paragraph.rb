# One paragraph or heading of ODF: its inline content read into a Content, and a Content written back.
module Glossema
  module Formats
    class Odf < Package
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
              parents << shell_of(entry.element).tap { |shell| parents.last << shell }
              looks << inner
            else
              parents.pop
              looks.pop
            end
          end
        end

        private

        # An element stands for so many spaces at most; one that says more means harm.
        MOST_SPACES = 10_000

        # An element without its text; what can be chosen in it stays.
        def shell_of(element)
          choices = element.element_children.select { |child| child.name == "list-item" }
          Nodes.copy(element, shallow: true).tap { |shell| choices.each { |choice| shell << choice } }
        end

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
            when "content-control"
              [Wrap.new("field", "field", identity(child), child, nil, nil, entries(child, names))]
            when "list-item"
              # What can be chosen in a content control: told by Controls.
              []
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
          raise RangeError, "#{count} spaces" if count > MOST_SPACES

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
