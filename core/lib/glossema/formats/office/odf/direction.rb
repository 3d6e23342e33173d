# Turns an ODF document from left to right to right to left, or back: what its styles say of paragraphs,
# tables, sheets and pages.
module Glossema
  module Formats
    class Odf
      module Direction
        MODES = { rtl: "rl-tb", ltr: "lr-tb" }.freeze
        # What stood at the side where lines begin stands there again. Sides are named as they are seen:
        # readers do not agree on what the start of a line from right to left is.
        SIDES = { "left" => "right", "start" => "right", "right" => "left", "end" => "left" }.freeze
        SIDE_SPACE = "urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0".freeze
        HOLDERS = %w[paragraph-properties page-layout-properties table-properties].freeze

        module_function

        # root: of a part; direction: :rtl or :ltr.
        def turn(root, direction)
          defaults(root)
          HOLDERS.each do |name|
            root.xpath("//*[local-name()='#{name}']").each { |node| turn_properties(node, name, direction) }
          end
        end

        # A copy's directions and sides taken away, for comparing all the rest.
        def without(xml)
          xml.xpath("//@*[local-name()='writing-mode' or local-name()='text-align']").each(&:unlink)
          xml.xpath("//*[local-name()='default-style']/*[local-name()='paragraph-properties'][not(@*) and " \
            "not(*)]").each(&:unlink)
        end

        # Default styles that say nothing of paragraphs yet can say it now.
        def defaults(root)
          root.xpath("//*[local-name()='default-style']").each do |style|
            next unless %w[paragraph graphic].include?(Odf.value(style, "family"))
            next if style.element_children.any? { |child| child.name == "paragraph-properties" }

            made = Nokogiri::XML::Node.new("paragraph-properties", style.document)
            made.namespace = style.namespace
            style.prepend_child(made)
          end
        end

        def turn_properties(node, name, direction)
          mode = node.attribute_nodes.find { |attribute| attribute.node_name == "writing-mode" }
          default = node.parent.name == "default-style"
          if mode
            mode.value = MODES.fetch(direction) unless mode.value == "page"
          elsif default || name != "paragraph-properties"
            node["#{node.namespace.prefix}:writing-mode"] = MODES.fetch(direction)
          end
          side = node.attribute_nodes.find { |attribute| attribute.node_name == "text-align" }
          side.value = SIDES.fetch(side.value, side.value) if side
          side_of_default(node, direction) if side.nil? && default && name == "paragraph-properties"
        end

        def side_of_default(node, direction)
          prefix = node.namespaces.key(SIDE_SPACE)&.delete_prefix("xmlns:")
          node["#{prefix}:text-align"] = direction == :rtl ? "right" : "left" if prefix
        end
        private_class_method :defaults, :turn_properties, :side_of_default
      end
    end
  end
end
