# Copies of XML nodes. A copy of a node that hangs in no document loses the name spaces of its attributes
# (r:id becomes id, and the link is dead), so they are put back here.
module Glossema
  module Formats
    module Nodes
      SHALLOW, DEEP = 2, 1

      module_function

      # A copy of a node with all inside it; shallow: with its attributes alone.
      def copy(node, shallow: false)
        made = node.dup(shallow ? SHALLOW : DEEP)
        restore_namespaces(made, node) unless attached?(node)
        made
      end

      def attached?(node)
        node = node.parent while node.respond_to?(:parent) && node.parent
        node.document?
      end

      def restore_namespaces(made, original)
        made.namespace = original.namespace if original.namespace
        made.attribute_nodes.zip(original.attribute_nodes) do |copied, attribute|
          copied.namespace = attribute.namespace if attribute.namespace
        end
        made.element_children.zip(original.element_children) { |one, other| restore_namespaces(one, other) }
      end
      private_class_method :attached?, :restore_namespaces
    end
  end
end
