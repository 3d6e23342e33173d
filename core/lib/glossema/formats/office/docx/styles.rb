# The looks of a DOCX: what a run looks like once its styles are resolved, and which paragraphs are headings
# or lists.
module Glossema
  module Formats
    class Docx
      class Styles
        # What does not change how a reader sees the text.
        NOISE = %w[
          rStyle lang noProof kern rPrChange ins del moveFrom moveTo snapToGrid webHidden specVanish cs oMath
          rtl ligatures numForm numSpacing cntxtAlts stylisticSets
        ].freeze
        COMPLEX = { "bCs" => true, "iCs" => true, "szCs" => true }.freeze
        TOGGLES = %w[b i caps smallCaps strike dstrike outline shadow emboss imprint vanish bCs iCs].freeze
        NOTHING = {
          "color" => "val=auto",
          "u" => "val=none",
          "highlight" => "val=none",
          "vertAlign" => "val=baseline",
          "spacing" => "val=0",
          "position" => "val=0",
          "w" => "val=100",
          "effect" => "val=none",
          "em" => "val=none",
          "rtl" => "val=0"
        }.freeze
        COMPLEX_TEXT = /[\p{Arabic}\p{Hebrew}\p{Devanagari}\p{Thai}\p{Syriac}\p{Thaana}]/
        EAST_ASIAN_TEXT = /[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}]/

        attr_reader :language

        def initialize(xml, numbering)
          @styles = {}
          @defaults = {}
          @numbering = numbering
          return unless xml

          root = xml.root
          root.xpath("./*[local-name()='style']").each { |style| @styles[value(style, "styleId")] = style }
          default =
            root.at_xpath(
              "./*[local-name()='docDefaults']/*[local-name()='rPrDefault']/*[local-name()='rPr']"
            )
          @defaults = properties(default)
          @language = default && (lang = child(default, "lang")) && tag(value(lang, "val"))
          @normal =
            @styles.values.find do |style|
              value(style, "type") == "paragraph" && %w[1 true].include?(value(style, "default"))
            end
        end

        # The properties a run has by its own settings and its styles: {name => canonical value}.
        def effective(paragraph_style, run_properties)
          @effective ||= {}
          @effective[[paragraph_style, run_properties && run_properties.to_xml(save_with: 0)]] ||= resolve(
            paragraph_style,
            run_properties
          ).freeze
        end

        # The canonical look of a text with these properties: only what shows in a text of its scripts.
        def look(properties, text)
          complex = !text.ascii_only? && text.match?(COMPLEX_TEXT)
          asian = !text.ascii_only? && text.match?(EAST_ASIAN_TEXT)
          @looks ||= {}.compare_by_identity
          (@looks[properties] ||= {})[[complex, asian]] ||= properties
            .filter_map do |name, setting|
              next if COMPLEX[name] && !complex
              next if setting.is_a?(Hash) && (setting = fonts(setting, asian, complex)).empty?

              "#{name}:#{setting}"
            end
            .sort
            .join("|")
        end

        # Words for a preview and for the reader of a code: how `properties` differs from `base`.
        def words(properties, base)
          list = []
          added = ->(name) { properties[name] && properties[name] != base[name] }
          list << "bold" if added.call("b")
          list << "italic" if added.call("i")
          list << "underline" if added.call("u")
          list << "strike" if added.call("strike") || added.call("dstrike")
          list << "super" if added.call("vertAlign") && properties["vertAlign"].include?("superscript")
          list << "sub" if added.call("vertAlign") && properties["vertAlign"].include?("subscript")
          list << "caps" if added.call("caps")
          list << "smallcaps" if added.call("smallCaps")
          if properties["rFonts"] != base["rFonts"] &&
              properties["rFonts"].to_s.match?(/courier|consol|mono|menlo/i)
            list << "mono"
          end
          list << "plain" if list.empty? && (base.keys - properties.keys).intersect?(%w[b i u caps])
          list
        end

        # "heading-1", "title", "list-item" or "paragraph".
        def block(paragraph_properties)
          id = style_id(paragraph_properties)
          name =
            lineage(id)
              .map { |style| value(child(style, "name"), "val").to_s.downcase }
              .find { |style| style.match?(/\Aheading [1-9]\z/) || style == "title" }
          return name == "title" ? "title" : "heading-#{[name[-1].to_i, 6].min}" if name

          level =
            outline(paragraph_properties) ||
            lineage(id).filter_map { |style| outline(child(style, "pPr")) }.first
          return "heading-#{[level + 1, 6].min}" if level && level < 9

          number(paragraph_properties) ? "list-item" : "paragraph"
        end

        # [list id, level] of a paragraph in a list, or nil.
        def number(paragraph_properties)
          sources = [
            paragraph_properties,
            *lineage(style_id(paragraph_properties)).map { |style| child(style, "pPr") }
          ]
          node =
            sources
              .compact
              .filter_map { |source| child(source, "numPr") }
              .find { |candidate| child(candidate, "numId") }
          id = node && value(child(node, "numId"), "val")
          return nil if id.nil? || id == "0"

          [id, (level = child(node, "ilvl")) ? value(level, "val").to_i : 0]
        end

        # "bullet", "decimal", … of a list level.
        def number_format(id, level)
          return "bullet" unless @numbering

          number = @numbering.root.at_xpath("./*[local-name()='num'][@*[local-name()='numId']='#{id.to_i}']")
          abstract = number && value(child(number, "abstractNumId"), "val")
          levels =
            "./*[local-name()='abstractNum'][@*[local-name()='abstractNumId']='#{abstract.to_i}']" \
              "/*[local-name()='lvl'][@*[local-name()='ilvl']='#{level}']"
          found = abstract && @numbering.root.at_xpath("#{levels}/*[local-name()='numFmt']")
          found ? value(found, "val") : "bullet"
        end

        def style_id(paragraph_properties)
          node = paragraph_properties && child(paragraph_properties, "pStyle")
          node ? value(node, "val") : @normal && value(@normal, "styleId")
        end

        def self.value(node, name) =
          node&.attribute_nodes&.find { |attribute| attribute.node_name == name }&.value

        def self.child(node, name)
          element = node&.first_element_child
          element = element.next_element until element.nil? || element.name == name
          element
        end

        private

        def resolve(paragraph_style, run_properties)
          run_style = run_properties && (node = child(run_properties, "rStyle")) && value(node, "val")
          result = @defaults.merge(chain(paragraph_style || (@normal && value(@normal, "styleId"))))
          from_character = chain(run_style)
          from_character.each { |name, setting| result[name] = merge(name, result[name], setting) }
          # A toggle set by both kinds of style is off again.
          TOGGLES.each do |name|
            result[name] = "off" if from_character[name] == "on" && chain(paragraph_style)[name] == "on"
          end
          properties(run_properties).each do |name, setting|
            result[name] = merge(name, result[name], setting)
          end
          result.reject do |name, setting|
            setting == "off" || NOTHING[name] == setting ||
              (name == "shd" && setting.match?(/fill=auto/) && setting.match?(/val=(?:clear|nil)/))
          end
        end

        def value(node, name) = Styles.value(node, name)
        def child(node, name) = Styles.child(node, name)

        def outline(properties) =
          properties && (node = child(properties, "outlineLvl")) && value(node, "val").to_i

        # Styles that are based on so many others are made to do harm.
        LONGEST_LINE = 60

        # A style and those it is based on, nearest first.
        def lineage(id)
          (@lineages ||= {})[id] ||= begin
            list = []
            while list.size < LONGEST_LINE && id && (style = @styles[id]) && !list.include?(style)
              list << style
              id = (base = child(style, "basedOn")) && value(base, "val")
            end
            list
          end
        end

        def chain(id)
          (@chains ||= {})[id] ||= lineage(id)
            .reverse
            .each_with_object({}) do |style, result|
              properties(child(style, "rPr")).each do |name, setting|
                result[name] = merge(name, result[name], setting)
              end
            end
        end

        def merge(name, old, new) = name == "rFonts" && old ? old.merge(new) : new

        def properties(node)
          return {} unless node

          node
            .element_children
            .each_with_object({}) do |element, result|
              next if NOISE.include?(element.name)

              attributes = element.attribute_nodes.to_h { |attribute| [attribute.node_name, attribute.value] }
              result[element.name] = if element.name == "rFonts"
                attributes.except("hint")
              elsif TOGGLES.include?(element.name)
                %w[0 false off].include?(attributes["val"]) ? "off" : "on"
              elsif element.element_children.any?
                Runs.canonical(element)
              else
                attributes
                  .except("themeColor", "themeShade", "themeTint")
                  .sort
                  .map { |pair| pair.join("=") }
                  .join(" ")
              end
            end
        end

        def fonts(setting, asian, complex)
          shown =
            setting.reject do |name, _|
              (name.start_with?("cs") && !complex) || (name.start_with?("eastAsia") && !asian)
            end
          shown.sort.map { |pair| pair.join("=") }.join(" ")
        end

        def tag(language)
          found = language.to_s.sub("_", "-")
          Languages.valid?(found) && found != "x-none" ? found : nil
        end
      end
    end
  end
end
