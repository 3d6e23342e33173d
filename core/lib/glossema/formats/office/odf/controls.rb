# The words of controls and input rules in ODF: captions, helps and choices of forms, drop-down and input
# fields, and in sheets the choices and messages of rules for cells.
module Glossema
  module Formats
    class Odf < Package
      module Controls
        # Attributes whose words a reader sees, by the name of their element.
        WORDS = %w[button checkbox radio frame fixed-text option item].to_h { |name| [name, %w[label title]] }
          .merge(%w[text textarea listbox combobox].to_h { |name| [name, %w[title]] })
          .merge("help-message" => %w[title], "error-message" => %w[title]).freeze
        FORM = "urn:oasis:names:tc:opendocument:xmlns:form:1.0".freeze
        LISTS = "//*[local-name()='content-validation']".freeze
        TYPED = /(?<=cell-content-is-in-list\()(?:"(?:[^"]|"")*"(?:;\s*)?)+(?=\))/
        CHOICE = /"((?:[^"]|"")*)"/

        # One choice typed into the condition of a rule for cells.
        TypedChoice =
          Struct.new(:attribute, :index) do
            def node = attribute.parent
            def content = Content.text(choices[index])
            def look = ""
            def language = nil

            def write(content, _target_language)
              changed = choices
              changed[index] = content.text
              made = changed.map { |choice| "\"#{choice.gsub('"', '""')}\"" }.join(";")
              attribute.value = attribute.value.sub(TYPED) { made }
            end

            def choices = attribute.value[TYPED].scan(CHOICE).map { |(choice)| choice.gsub('""', '"') }
          end

        # What stands in a field until somebody writes there.
        FIELDS = "//*[local-name()='text-input' or local-name()='placeholder']".freeze
        CHOICES = "//*[local-name()='content-control']/*[local-name()='list-item']".freeze

        # A copy's words of controls taken away, for comparing all the rest.
        def self.without(xml)
          WORDS.each do |element, names|
            xml.xpath("//*[local-name()='#{element}']").each do |node|
              node.attribute_nodes.each { |attribute|
                attribute.unlink if names.include?(attribute.node_name)
              }
            end
          end
          xml.xpath("#{LISTS}/@*[local-name()='condition']").each do |condition|
            condition.value = condition.value.sub(TYPED, "")
          end
        end

        private

        def read_controls
          root = parse("content.xml").root
          root.xpath("//form:*", "form" => FORM).each { |node|
            read_words(node, Location.new("control-words"))
          }
          root.xpath(CHOICES).each { |choice| read_choice(choice) }
          root.xpath(FIELDS).each do |field|
            take_words(Package::TextOnly.new(field), id: control_id, location: Location.new("field-text"),
              part: "content.xml")
          end
          root.xpath(LISTS).each { |rule| read_rule(rule) }
        end

        def read_choice(choice)
          shown = choice.attribute_nodes.find { |attribute| attribute.node_name == "display-text" }
          take_attribute(shown, id: control_id, location: Location.new("control-choice"), part: "content.xml")
        end

        def read_words(node, location)
          node.attribute_nodes.each do |attribute|
            next unless WORDS[node.name]&.include?(attribute.node_name)

            take_attribute(attribute, id: control_id, location: location, part: "content.xml")
          end
        end

        def read_rule(rule)
          condition = rule.attribute_nodes.find { |attribute| attribute.node_name == "condition" }
          if condition&.value.to_s.match?(TYPED)
            TypedChoice.new(condition, 0).choices.each_index do |index|
              choice = TypedChoice.new(condition, index)
              take_words(choice, id: control_id, location: Location.new("cell-choice"), part: "content.xml")
            end
          end
          rule.element_children.each { |message| read_words(message, Location.new("message-title")) }
          walk(rule, "content.xml", { where: "message", block: "property" })
        end

        def control_id = "content:control#{@counters[:control] += 1}"
      end
    end
  end
end
