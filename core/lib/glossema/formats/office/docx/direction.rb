# Turns a DOCX from left to right to right to left, or back: paragraphs, tables and pages.
module Glossema
  module Formats
    class Docx
      module Direction
        # What stands before the mark in the order that the schema gives.
        BEFORE_IN_PARAGRAPH = %w[
          pStyle keepNext keepLines pageBreakBefore framePr widowControl numPr suppressLineNumbers pBdr shd
          tabs suppressAutoHyphens kinsoku wordWrap overflowPunct topLinePunct autoSpaceDE autoSpaceDN
        ].freeze
        BEFORE_IN_TABLE = %w[tblStyle tblpPr tblOverlap].freeze
        AFTER_IN_PAGE = %w[rtlGutter docGrid printerSettings sectPrChange].freeze

        module_function

        # root: of a part; direction: :rtl or :ltr.
        def turn(root, direction)
          each(root, "p") { |node|
            mark(properties(node, "pPr"), "bidi", direction, before: BEFORE_IN_PARAGRAPH)
          }
          each(root, "tbl") { |node|
            mark(properties(node, "tblPr"), "bidiVisual", direction, before: BEFORE_IN_TABLE)
          }
          each(root, "sectPr") { |node| mark(node, "bidi", direction, after: AFTER_IN_PAGE) }
          each(root, "rtl") { |node| node.unlink } if direction == :ltr
        end

        def each(root, name, &block)
          own = "not(namespace-uri()='#{Drawing::NAMESPACE}')"
          root.xpath(".//*[local-name()='#{name}'][#{own}]").each(&block)
        end

        def properties(node, name)
          Styles.child(node, name) || node.prepend_child(element(node, name))
        end

        def mark(holder, name, direction, before: nil, after: nil)
          Styles.child(holder, name)&.unlink
          return if direction == :ltr

          made = element(holder, name)
          if before
            last = holder.element_children.reverse.find { |child| before.include?(child.name) }
            last ? last.add_next_sibling(made) : holder.prepend_child(made)
          else
            following = holder.element_children.find { |child| after.include?(child.name) }
            following ? following.add_previous_sibling(made) : holder.add_child(made)
          end
        end

        def element(beside, name)
          Nokogiri::XML::Node.new(name, beside.document).tap { |made| made.namespace = beside.namespace }
        end
        private_class_method :each, :properties, :mark, :element
      end
    end
  end
end
