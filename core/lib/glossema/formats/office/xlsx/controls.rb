# What a sheet shows besides its cells: choices of input rules, captions of its controls, and the captions of
# pivot tables, which repeat cells or stand alone.
require "csv"
require "glossema/formats/office/ooxml"

module Glossema
  module Formats
    class Xlsx < Ooxml
      module SheetControls
        CAPTIONS = %w[
          grandTotalCaption rowHeaderCaption colHeaderCaption dataCaption missingCaption errorCaption
        ].freeze
        # Attributes of pivot tables, their caches and slicers that a reader sees.
        PIVOT = {
          "pivotTableDefinition" => CAPTIONS,
          "pivotField" => %w[name],
          "dataField" => %w[name],
          "slicer" => %w[caption]
        }.freeze
        # What a cache repeats of the cells it was made from.
        CACHED_PIVOT = { "cacheField" => %w[name], "s" => %w[v] }.freeze
        CHANGING = Ooxml::Controls::WORDS.merge(PIVOT, CACHED_PIVOT, "item" => %w[val]).freeze
        LIST = ".//*[local-name()='dataValidation'][@type='list']//*[local-name()='formula1']".freeze
        # The same choices in a newer form, in which they may hold commas.
        NEWER = "ancestor::*[local-name()='AlternateContent']/*[local-name()='Choice']" \
          "/*[local-name()='list']".freeze
        TYPED = /\A"((?:[^"]|"")*)"\z/
        MAX_LIST = 255
        # A choice cannot hold the mark that parts choices; this one looks the same.
        COMMA = "\u201A".freeze

        # The choices typed into one rule, written together.
        TypedList =
          Struct.new(:node, :newer, :choices) do
            def self.from_node(node)
              newer = node.at_xpath(NEWER)
              typed = node.text.strip[TYPED, 1]
              choices = newer ? ::CSV.parse_line(newer.text) : typed&.gsub('""', '"')&.split(",")
              choices && new(node, newer, choices.map { |choice| choice.to_s.strip })
            rescue ::CSV::MalformedCSVError
              nil
            end

            def put
              newer.content = ::CSV.generate_line(choices, row_sep: "") if newer
              made = "\"#{choices.map { |choice| choice.gsub('"', '""').tr(",", COMMA) }.join(",")}\""
              node.content = made if made.length <= MAX_LIST + 2
            end
          end

        # One of them.
        TypedChoice =
          Struct.new(:list, :index) do
            def node = list.node
            def content = Content.text(list.choices[index].tr(COMMA, ","))
            def look = ""
            def language = nil

            def write(content, _target_language)
              list.choices[index] = content.text
              list.put
            end
          end

        # A caption drawn the older way, often over several fonts.
        OldCaption =
          Struct.new(:node) do
            def content = Content.text(texts.map(&:text).join.gsub(/[[:space:]]+/, " ").strip)
            def look = ""
            def language = nil

            def write(content, _target_language)
              texts.each_with_index { |text, index| text.content = index.zero? ? content.text : "" }
            end

            private

            def texts = node.xpath(".//text()").select { |text| text.text.match?(/[^[:space:]]/) }
          end

        private

        def read_typed_lists(root, sheet)
          root.xpath(LIST).each_with_index do |node, at|
            list = TypedList.from_node(node)
            next if list.nil? || list.choices.any? { |choice| @literals.include?(choice) }

            list.choices.each_index do |index|
              take_words(
                TypedChoice.new(list, index),
                id: "s#{sheet.number}!list#{at + 1}-#{index + 1}",
                location: Location.new("sheet-choice", sheet: sheet.name,
                  cells: node.at_xpath("ancestor::*[@sqref]")&.[]("sqref").to_s),
                part: sheet.path
              )
            end
          end
        end

        # Captions of buttons and boxes; where the drawing shows the same text they go with it.
        def read_old_captions(sheet, shown)
          related(sheet.path, "vmlDrawing").each do |path|
            xml = readable(path) or next
            xml.root.xpath(".//*[local-name()='textbox']/*[local-name()='div']").each do |node|
              caption = OldCaption.new(node)
              twin = shown.find { |place| place.unit.content.text.strip == caption.content.text }
              next mirror_words(twin, caption, path) if twin&.mirrors

              location = Location.new("sheet-control", sheet: sheet.name)
              take_words(caption, id: control_id(path), location: location, part: path)
            end
          end
        end

        def read_control_lists(sheet)
          related(sheet.path, "ctrlProp").each do |path|
            xml = readable(path) or next
            xml.root.xpath(".//*[local-name()='item'][@val]").each do |node|
              take_attribute(node.attribute("val"), id: control_id(path), part: path,
                location: Location.new("sheet-list", sheet: sheet.name))
            end
          end
        end

        # Captions that no cell shows are units; those that cells show go with their cells, as do the caches.
        def read_pivots(sheet)
          related(sheet.path, "pivotTable").each do |path|
            take_captions(path, Location.new("pivot-caption", sheet: sheet.name))
            related(path, "pivotCacheDefinition").each { |cache| note_repeats(cache, CACHED_PIVOT) }
          end
          related(sheet.path, "slicer").each { |path|
            take_captions(path, Location.new("slicer-caption", sheet: sheet.name))
          }
        end

        def take_captions(path, location)
          @cell_texts ||= @taken.to_set { |cell| cell.unit.content.text }
          note_repeats(path, PIVOT)
          xml = parse(path)
          one = xml.xpath("//*[local-name()='dataField']").size < 2
          captions(xml, PIVOT).each do |attribute|
            # With one kind of value nobody sees what all values are called.
            next if one && attribute.name == "dataCaption"
            next if @cell_texts.include?(attribute.value) || @literals.include?(attribute.value)

            take_attribute(attribute, id: control_id(path), location: location, part: path)
          end
        end

        def note_repeats(path, names) = (@repeating ||= {})[path] = names

        def captions(xml, names)
          names.flat_map do |element, attributes|
            xml.xpath("//*[local-name()='#{element}']").flat_map do |node|
              node.attribute_nodes.select { |attribute| attributes.include?(attribute.node_name) }
            end
          end
        end

        # Pivot tables, their caches and slicers read as their cells read now; answers the paths that changed.
        def renew_pivots(texts)
          @repeating.to_h.select do |path, names|
            captions(parse(path), names).group_by { |attribute| attribute.parent.parent }.count { |_, list|
              renew_captions(list, texts)
            }.positive?
          end.keys
        end

        def repeating_part?(path) = @repeating.to_h.key?(path) || path.match?(%r{/vmlDrawing|/ctrlProp})

        # Such a part without the words that may change.
        def repeating_frame(path)
          xml = container.xml(path).dup
          Ooxml::Controls.without_words(xml, CHANGING)
          xml.xpath("//*[local-name()='textbox']//text()").each(&:unlink)
          xml.canonicalize
        end

        # Names of one list must stay different from each other, and those that formulas name must stay.
        def renew_captions(list, texts)
          wanted = list.map { |one|
            @literals.include?(one.value) ? one.value : texts[one.value] || one.value
          }
          return false if wanted == list.map(&:value) || wanted.map(&:downcase).uniq.size < wanted.size

          list.zip(wanted) { |attribute, text| attribute.value = text }
          true
        end
      end
    end
  end
end
