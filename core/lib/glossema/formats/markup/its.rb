# ITS 2.0: what rules and attributes say about the elements and attributes of an XML document. Taken up:
# translate, elements within text, localization note, preserve space, id value, storage size; rules given from
# outside, written inside the document (its:rules), and local attributes. Rules elsewhere (xlink:href) are not
# fetched.
module Glossema
  module Formats
    class Its
      NAMESPACE = "http://www.w3.org/2005/11/its".freeze
      PRESETS = File.join(ROOT, "data/its")
      # What holds for an element. translate: true/false; within: "yes", "no", "nested" or nil when nothing
      # says; attributes: {name => true} of those to translate.
      Info = Struct.new(:translate, :within, :note, :preserve, :id, :limit, :attributes, keyword_init: true)

      # dom: a nokogiri document; rules: XML texts of rules, later ones winning. Raises Refused
      # "rules-broken".
      def initialize(dom, rules)
        @dom = dom
        @elements, @attributes = {}, {}
        [*rules.map { |text| parse(text) }, *dom.xpath("//its:rules", its: NAMESPACE)].each do |set|
          apply(set)
        end
        @infos = {}
        inherit(dom.root, Info.new(translate: true)) if dom.root
      end

      def self.preset(name) = File.read(File.join(PRESETS, "#{name}.xml"), encoding: "UTF-8")

      # The Info of the element that is the n-th of the document, from 1.
      def info(index) = @infos.fetch(index)

      private

      def parse(text)
        xml = Nokogiri.XML(text) { |config| config.strict.nonet }
        xml.at_xpath("//its:rules", its: NAMESPACE) ||
          raise(Refused.new("rules-broken.no-its-element"))
      rescue Nokogiri::XML::SyntaxError => e
        raise Refused.new("rules-broken.its-xml", place: Refusals.place(e))
      end

      def apply(set)
        selector = nil
        variables =
          set
            .element_children
            .select { |child| child.name == "param" }
            .to_h { |param| [param["name"].to_s, param.text] }
        set.element_children.each do |rule|
          selector = rule["selector"] or next

          spaces =
            rule
              .namespaces
              .transform_keys { |key| key.delete_prefix("xmlns:") }
              .reject { |key, _| key == "xmlns" }
          query =
            rule["selector"].gsub(/\$([A-Za-z_][\w.-]*)/) do
              if variables.key?(Regexp.last_match(1))
                "'#{variables[Regexp.last_match(1)].delete("'")}'"
              else
                Regexp.last_match(0)
              end
            end
          @dom.xpath(query, spaces).each { |node| note(node, rule, spaces) }
        end
      rescue Nokogiri::XML::XPath::SyntaxError, Nokogiri::XML::SyntaxError, RuntimeError
        raise Refused.new("rules-broken.its-selector", selector: selector.to_s[0, 80])
      end

      def note(node, rule, spaces)
        if node.is_a?(Nokogiri::XML::Attr)
          (@attributes[node.parent.pointer_id] ||= {})[full_name(node)] = rule["translate"] ==
            "yes" if rule.name == "translateRule"
          return
        end
        return unless node.is_a?(Nokogiri::XML::Element)

        facts = @elements[node.pointer_id] ||= {}
        case rule.name
        when "translateRule"
          facts[:translate] = rule["translate"] == "yes"
        when "withinTextRule"
          facts[:within] = rule["withinText"]
        when "preserveSpaceRule"
          facts[:preserve] = rule["space"] == "preserve"
        when "locNoteRule"
          facts[:note] = (
            if rule["locNotePointer"]
              pointed(node, rule["locNotePointer"], spaces)
            else
              rule.element_children.find { |child| child.name == "locNote" }&.text&.strip
            end
          )
        when "idValueRule"
          facts[:id] = pointed(node, rule["idValue"], spaces)
        when "storageSizeRule"
          facts[:limit] = (rule["storageSize"] || pointed(node, rule["storageSizePointer"], spaces)).to_s[
            /\d+/
          ]&.to_i
        end
      end

      def pointed(node, query, spaces)
        found = node.xpath(query.to_s, spaces)
        found = found.first if found.is_a?(Nokogiri::XML::NodeSet)
        (found.respond_to?(:text) ? found.text : found.to_s).to_s.strip.then do |text|
          text.empty? ? nil : text
        end
      end

      def full_name(attribute) =
        if attribute.namespace&.prefix
          "#{attribute.namespace.prefix}:#{attribute.node_name}"
        else
          attribute.node_name
        end

      # In document order, as the elements are counted elsewhere.
      def inherit(root, outer)
        stack = [[root, outer]]
        index = 0
        while (node, above = stack.pop)
          info = info_of(node, above)
          @infos[index += 1] = info
          node.element_children.reverse_each { |child| stack << [child, info] }
        end
      end

      def info_of(node, above)
        facts = @elements[node.pointer_id] || {}
        local = ->(name) do
          node.attribute_with_ns(name, NAMESPACE)&.value ||
            (node.namespace&.href == NAMESPACE ? node[name] : nil)
        end
        translate = { "yes" => true, "no" => false }.fetch(
          local.call("translate"),
          facts.fetch(:translate, above.translate)
        )
        space = node.attribute_with_ns("space", "http://www.w3.org/XML/1998/namespace")&.value
        preserve = space ? space == "preserve" : facts.fetch(:preserve, above.preserve)
        translate = false if node.namespace&.href == NAMESPACE && node.name == "rules"
        Info.new(
          translate: translate,
          within:
            local.call("withinText") || facts[:within] ||
              (node.namespace&.href == NAMESPACE && node.name == "span" ? "yes" : nil),
          preserve: preserve,
          note: local.call("locNote") || facts[:note] || above.note,
          id: node.attribute_with_ns("id", "http://www.w3.org/XML/1998/namespace")&.value || facts[:id],
          limit: local.call("storageSize")&.to_i || facts[:limit] || above.limit,
          attributes: @attributes.fetch(node.pointer_id, {}).select { |_, wanted| wanted }
        )
      end
    end
  end
end
