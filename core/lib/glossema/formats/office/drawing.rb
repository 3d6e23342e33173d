# One paragraph of DrawingML text: on slides, in charts, diagrams and their tables.
module Glossema
  module Formats
    class Drawing
      include Runs

      NAMESPACE = "http://schemas.openxmlformats.org/drawingml/2006/main".freeze
      # Attributes and children of run properties that do not show.
      NOISE = %w[
        lang altLang dirty err noProof smtClean smtId bmk kern kumimoji normalizeH hlinkMouseOver uFillTx
        uLnTx extLst rtl
      ].freeze
      NOTHING = {
        "b" => %w[0 false],
        "i" => %w[0 false],
        "u" => ["none"],
        "strike" => ["noStrike"],
        "baseline" => %w[0 0%],
        "cap" => ["none"],
        "spc" => ["0"]
      }.freeze
      FORMAT_OF_PARAGRAPH = %w[pPr endParaRPr].freeze
      EAST_ASIAN = /[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}]/
      COMPLEX = /[\p{Arabic}\p{Hebrew}\p{Devanagari}\p{Thai}]/
      NAMES = { "slidenum" => "slide number" }.freeze

      attr_reader :node, :content

      # link: given the id of a relation, answers where it leads.
      def initialize(node, link)
        @node, @link = node, link
        @content = content_of(entries)
      end

      # The language most runs say they are in, or nil.
      def language =
        @node
          .xpath("./*[local-name()='r']/*[local-name()='rPr']/@lang")
          .map(&:value)
          .tally
          .max_by(&:last)
          &.first

      # Replaces the runs. Codes the content does not know are left out; one used twice is copied.
      def write(content, target_language)
        @node.element_children.each { |child| child.unlink unless FORMAT_OF_PARAGRAPH.include?(child.name) }
        looks, used = [@base], {}
        content.well_formed.items.each do |item|
          if item.is_a?(String)
            item
              .split(/(\n)/)
              .reject(&:empty?)
              .each { |piece| put(piece == "\n" ? element("br") : run(piece, looks.last, target_language)) }
          elsif item.open?
            looks.push(@originals[item.key])
          elsif item.close?
            looks.pop
          else
            (@originals[item.key] || []).each { |_, original|
              put(used[item.key] ? Nodes.copy(original) : original)
            }
            used[item.key] = true
          end
        end
      end

      SIDES = { "l" => "r", "r" => "l" }.freeze

      # Turns the texts and tables of a part; sides are named as the reader sees them, so they change too.
      def self.turn(root, direction)
        value = direction == :rtl ? "1" : "0"
        root.xpath(".//*[local-name()='p'][namespace-uri()='#{NAMESPACE}']").each do |node|
          properties = Docx::Styles.child(node,
            "pPr") || node.prepend_child(Nokogiri::XML::Node.new("pPr", node.document))
          properties.namespace = node.namespace
          properties["rtl"] = value
          properties["algn"] =
            SIDES.fetch(properties["algn"] || (direction == :rtl ? "l" : "r"), properties["algn"])
        end
        root.xpath(".//*[local-name()='tblPr'][namespace-uri()='#{NAMESPACE}']").each { |node|
          node["rtl"] = value
        }
        root.xpath(".//*[local-name()='bodyPr'][namespace-uri()='#{NAMESPACE}']").each { |node|
          node["rtlCol"] = value
        }
      end

      private

      def entries
        @node
          .element_children
          .reject { |child| FORMAT_OF_PARAGRAPH.include?(child.name) }
          .flat_map do |child|
            case child.name
            when "r"
              properties = child.element_children.find { |inner| inner.name == "rPr" }
              [
                Text.new(
                  child.element_children.select { |inner| inner.name == "t" }.map(&:text).join,
                  properties,
                  props(properties),
                  nil
                )
              ]
            when "br"
              [Alone.new("break", "line break", "\n", [[:bare, child]])]
            when "fld"
              [Alone.new("field", field_name(child), "", [[:bare, child]])]
            else
              [Alone.new("object", child.name, "", [[:bare, child]])]
            end
          end
      end

      def field_name(child)
        text = child.xpath(".//*[local-name()='t']").map(&:text).join
        "#{NAMES.fetch(child["type"].to_s, "field")} #{text}".strip[0, 30]
      end

      def props(properties)
        return {} unless properties

        attributes = properties.attribute_nodes.to_h { |attribute| [attribute.node_name, attribute.value] }
        children =
          properties.element_children.to_h do |child|
            [child.name, child.name == "hlinkClick" ? @link.call(link_id(child)).to_s : Runs.canonical(child)]
          end
        attributes
          .merge(children)
          .reject { |name, value| NOISE.include?(name) || NOTHING[name]&.include?(value) || value.empty? }
      end

      def link_id(child) = child.attribute_nodes.find { |attribute| attribute.node_name == "id" }&.value

      def look_of(props, text)
        props
          .reject do |name, _|
            (name == "ea" && !text.match?(EAST_ASIAN)) || (name == "cs" && !text.match?(COMPLEX)) ||
              name == "sym"
          end
          .sort
          .map { |name, value| "#{name}:#{value}" }
          .join("|")
      end

      def words_of(props, base)
        added = ->(name) { props[name] && props[name] != base[name] }
        {
          "bold" => "b",
          "italic" => "i",
          "underline" => "u",
          "strike" => "strike",
          "link" => "hlinkClick"
        }.filter_map { |word, name| word if added.call(name) } +
          (added.call("baseline") ? [raised(props["baseline"])] : [])
      end

      def raised(baseline) = baseline.start_with?("-") ? "sub" : "super"

      def plain_props = {}

      def shows_on_space?(text) = text.props.keys.intersect?(%w[u strike highlight])

      def put(child)
        last = @node.element_children.find { |kept| kept.name == "endParaRPr" }
        last ? last.add_previous_sibling(child) : @node << child
      end

      def run(text, properties, language)
        copy = properties ? Nodes.copy(properties) : element("rPr")
        %w[err dirty].each { |name| copy.remove_attribute(name) }
        copy["lang"] = language if language
        node = element("t")
        node.content = text
        element("r").tap do |made|
          made << copy if copy.attribute_nodes.any? || copy.element_children.any?
          made << node
        end
      end

      def element(name) =
        Nokogiri::XML::Node.new(name, @node.document).tap { |made| made.namespace = @node.namespace }
    end
  end
end
