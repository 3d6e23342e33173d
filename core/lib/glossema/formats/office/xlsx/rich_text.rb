# The text of a cell or comment in SpreadsheetML: one run, or several with looks of their own.
module Glossema
  module Formats
    class Xlsx
      class RichText
        include Runs

        NOISE = %w[family charset scheme].freeze
        NOTHING = {
          "b" => %w[0 false],
          "i" => %w[0 false],
          "strike" => %w[0 false],
          "u" => %w[none],
          "vertAlign" => %w[baseline]
        }.freeze

        attr_reader :node, :content

        # node: a string item; or text: what stands in it, where it is one plain text, as in most cells.
        def initialize(node, text = nil)
          @node = node
          first = node&.first_element_child
          text ||= first.text if first&.name == "t" && first.next_element.nil?
          if text
            @content, @originals, @look = Content.text(unescaped(text)), {}, ""
          else
            @content = content_of(entries)
          end
        end

        def language = nil

        def write(content, _target_language) = write_to(@node, content)

        # Puts a content with this text's looks into a node (si, is, text).
        def write_to(node, content)
          node.element_children.each { |child| child.unlink if %w[r t rPh phoneticPr].include?(child.name) }
          looks, pieces = [@base], []
          content.well_formed.items.each do |item|
            if item.is_a?(String)
              pieces << [item, looks.last]
            elsif item.open?
              looks.push(@originals[item.key])
            elsif item.close?
              looks.pop
            end
          end
          pieces << ["", nil] if pieces.empty?
          plain = pieces.all? { |_, look| look.nil? }
          pieces.reverse_each do |text, look|
            node.prepend_child(plain ? text_node(node, text) : run(node, text, look))
          end
        end

        private

        def entries
          @node.element_children.flat_map do |child|
            case child.name
            when "t"
              [Text.new(unescaped(child.text), nil, {}, nil)]
            when "r"
              properties = child.element_children.find { |inner| inner.name == "rPr" }
              [
                Text.new(
                  unescaped(child.element_children.select { |inner| inner.name == "t" }.map(&:text).join),
                  properties,
                  props(properties),
                  nil
                )
              ]
            else
              []
            end
          end
        end

        # Characters XML cannot hold are written _x000D_ and the like.
        def unescaped(text) =
          text
            .gsub("\r\n", "\n")
            .gsub("_x000D_\n", "\n")
            .gsub(/_x([0-9A-Fa-f]{4})_/) do
              if (code = Regexp.last_match(1).hex) >= 32 || [9, 10].include?(code)
                [code].pack("U")
              else
                Regexp.last_match(0)
              end
            end

        def props(properties)
          return {} unless properties

          properties
            .element_children
            .to_h do |child|
              [
                child.name,
                child
                  .attribute_nodes
                  .map { |attribute| "#{attribute.node_name}=#{attribute.value}" }
                  .sort
                  .join(",")
              ]
            end
            .reject do |name, value|
              NOISE.include?(name) || NOTHING[name]&.include?(value.delete_prefix("val="))
            end
        end

        def look_of(props, _text) = props.sort.map { |name, value| "#{name}:#{value}" }.join("|")

        def words_of(props, base)
          added = ->(name) { props.key?(name) && props[name] != base[name] }
          list =
            {
              "bold" => "b",
              "italic" => "i",
              "underline" => "u",
              "strike" => "strike"
            }.filter_map { |word, name| word if added.call(name) }
          list << (props["vertAlign"].include?("sub") ? "sub" : "super") if added.call("vertAlign")
          list
        end

        def plain_props = {}
        def shows_on_space?(text) = text.props.keys.intersect?(%w[u strike])

        def run(node, text, look)
          element(node, "r").tap do |made|
            made << Nodes.copy(look) if look
            made << text_node(node, text)
          end
        end

        def text_node(node, text)
          element(node, "t").tap do |made|
            made.content = text
            made["xml:space"] = "preserve" if text.match?(/\A\s|\s\z|\n/)
          end
        end

        def element(node, name) =
          Nokogiri::XML::Node.new(name, node.document).tap { |made| made.namespace = node.namespace }
      end
    end
  end
end
