# The looks of ODF: what a run looks like once its styles are resolved.
module Glossema
  module Formats
    class Odf < Package
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
                "//*[local-name()='default-style'][@*[local-name()='family']='paragraph']" \
                  "/*[local-name()='text-properties']"
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
    end
  end
end
