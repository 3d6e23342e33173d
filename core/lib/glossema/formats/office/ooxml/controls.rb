# The words of form controls: choices of lists, captions of buttons, help and messages.
module Glossema
  module Formats
    class Ooxml < Package
      module Controls
        # Attributes whose words a reader sees, by the name of their element.
        WORDS = {
          "listItem" => %w[displayText],
          "listEntry" => %w[val],
          "helpText" => %w[val],
          "statusText" => %w[val],
          "ocxPr" => %w[value]
        }.freeze
        # The older kind of form field, and the properties of controls that are kept as XML.
        FIELDS = ".//*[local-name()='ffData']//*[local-name()='listEntry' or " \
          "@*[local-name()='type']='text' and (local-name()='helpText' or local-name()='statusText')]".freeze
        CAPTIONS = ".//*[local-name()='ocxPr'][@*[local-name()='name']='Caption']".freeze

        # A choice of a content control: what it shows is its value until it has words of its own.
        Choice =
          Struct.new(:node) do
            def content = Content.text(words&.value || Docx::Styles.value(node, "value").to_s)
            def look = ""
            def language = nil

            def write(content, _target_language)
              return words.value = content.text if words
              return if content.text == self.content.text

              prefix = node.namespace&.prefix
              node["#{"#{prefix}:" if prefix}displayText"] = content.text
            end

            private

            def words = node.attribute_nodes.find { |attribute| attribute.node_name == "displayText" }
          end

        # Without the words that translations may change, to compare the rest.
        def self.without_words(xml, words = WORDS)
          words.each do |element, names|
            xml.xpath("//*[local-name()='#{element}']").each do |node|
              node.attribute_nodes.each { |attribute|
                attribute.unlink if names.include?(attribute.node_name)
              }
            end
          end
        end

        private

        # What the controls in a part say.
        def read_controls(part)
          read_choices(part)
          related(part, "control").each do |path|
            xml = readable(path) or next
            xml.root.xpath(CAPTIONS).each { |node|
              control_words(node, path, Location.new("control-caption"))
            }
          end
        end

        def read_choices(part)
          root = parse(part).root
          root.xpath(".//*[local-name()='listItem']").each do |node|
            take_words(Choice.new(node), id: control_id(part), location: Location.new("list-choice"),
              part: part)
          end
          root.xpath(FIELDS).each { |node| control_words(node, part, Location.new("form-field-words")) }
        end

        def control_words(node, part, location)
          names = WORDS.fetch(node.name)
          attribute = node.attribute_nodes.find { |one| names.include?(one.node_name) }
          take_attribute(attribute, id: control_id(part), location: location, part: part)
        end

        def control_id(part) = "#{short(part)}:control#{@counters["control #{part}"] += 1}"
      end
    end
  end
end
