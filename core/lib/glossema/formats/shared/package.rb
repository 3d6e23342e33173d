# What all formats share that are a ZIP of XML parts: places of text in the parts, writing what changed, and
# the comparison of all the rest. Formats say DEFAULTS, their options, and `frame(path)`, what stands around
# the text of a part.
module Glossema
  module Formats
    class Package
      include Turning

      # A paragraph or attribute that holds the text of a unit, and those that repeat it for older readers.
      Place = Struct.new(:unit, :paragraph, :mirrors, :attribute, :part, keyword_init: true)

      # An element that holds nothing but text, written and read as a paragraph is.
      TextOnly =
        Struct.new(:node) do
          def content = Content.text(node.text)
          def look = ""
          def language = nil
          def write(content, _target_language) = node.content = content.text
        end

      def self.read(bytes, name:, options: {}) = new(bytes, name, options)

      attr_reader :units, :options, :container

      def initialize(bytes, name, options)
        @name = name
        @options = Formats.defaults(self.class).merge(options)
        @container = Container.new(bytes, name)
        @places, @counters = [], Hash.new(0)
      end

      def source_language = nil
      def bilingual? = false

      def write(contents, target_language: nil, **)
        return container.bytes if contents.empty?

        writer = unspent
        made = container.write(writer.apply(contents, target_language))
        @left = writer.left
        @spent = true
        made
      end

      # Texts computed from others (entries of contents, references) that could not be renewed when this was
      # written.
      def left = @left || []

      # The document as HTML; formats say `page`.
      def preview(&block) = unspent.page(&block)

      # Parts that differ from those of the other file although nothing in them was to be translated; for
      # parts with text, whether anything but the text differs.
      def untouched(other)
        textual = @places.flat_map { |place| [place, *place.mirrors].map(&:part) }.uniq | turned_parts
        names = container.entries
        return ["the list of parts"] if names != other.container.entries

        names.reject do |name|
          container.read(name) == other.container.read(name) ||
            (textual.include?(name) && frame(name) == other.frame(name))
        end
      end

      # Puts the contents in place; returns {path => bytes} of the parts that changed.
      def apply(contents, target_language)
        results = computed_results
        results&.remember(@places)
        turn = turn_for(target_language)
        parts = put(contents, target_language)
        changed = results ? results.renew(title_change(contents)) : []
        changed += turn_around(turn) if turn
        @left = results&.left
        serialized(parts | changed)
      end

      private

      # What repeats texts of the document, to be renewed after writing; nil where nothing does.
      def computed_results = nil

      # The title of the document before and after.
      def title_change(contents)
        place = @places.find { |one| one.unit.id == "title" } or return nil
        [place.unit.content.text, (contents[place.unit.id] || place.unit.content).text]
      end

      # Parts that say which way texts run, whether they hold any or not.
      def turned_parts = []

      # Turns what runs from left to right, or from right to left; answers the paths of the parts that
      # changed.
      def turn_around(_direction) = []

      # Words that hang inside a paragraph go first: writing the paragraph may copy what holds them.
      WITHIN = %w[property alt-text].freeze

      def put(contents, target_language)
        parts = {}
        @places.partition { |place| WITHIN.include?(place.unit.block) }.flatten.each do |place|
          content = contents[place.unit.id] or next
          if place.attribute
            place.attribute.content = content.text
          else
            place.paragraph.write(content, target_language)
          end
          place.mirrors&.each { |mirror| mirror.paragraph.write(content, target_language) }
          [place, *place.mirrors].each { |changed| parts[changed.part] = true }
        end
        parts.keys
      end

      def serialized(paths)
        options = Nokogiri::XML::Node::SaveOptions::AS_XML
        paths.to_h do |path|
          xml = parse(path)
          [path, xml.to_xml(encoding: xml.encoding || "UTF-8", save_with: options)]
        end
      end

      # Takes an attribute (or an element with nothing but text) whose words a reader sees.
      def take_attribute(attribute, id:, location:, part:, block: "property")
        return unless attribute && attribute.text.match?(/\p{L}/)

        unit = Unit.new(id: id, location: location, block: block, content: Content.text(attribute.text))
        @places << Place.new(unit: unit, attribute: attribute, part: part)
      end

      # Takes what answers `content` and `write` as a paragraph does, and holds words without codes.
      def take_words(words, id:, location:, part:)
        return unless words.content.text.match?(/\p{L}/)

        unit = Unit.new(id: id, location: location, block: "property", content: words.content, look: "")
        @places << Place.new(unit: unit, paragraph: words, mirrors: [], part: part)
      end

      # The same words once more, which go the same way.
      def mirror_words(place, words, part) = place.mirrors << Place.new(paragraph: words, part: part)

      # This file, or once its trees were changed by writing, a new reading of it.
      def unspent = @spent ? self.class.new(container.bytes, @name, @options) : self

      # A part that may be left as it is when it is damaged, such as an embedded object: its XML, or nil.
      def readable(path)
        parse(path)
      rescue Refused
        nil
      end

      def parse(path) = (@parsed ||= {})[path] ||= container.xml(path)

      def short(path) = File.basename(path, ".xml")
    end
  end
end
