# What all formats share that are a ZIP of XML parts: places of text in the parts, writing what changed, and
# the comparison of all the rest. Formats say DEFAULTS, their options, and `frame(path)`, what stands around
# the text of a part.
module Glossema
  module Formats
    class Package
      # A paragraph or attribute that holds the text of a unit, and those that repeat it for older readers.
      Place = Struct.new(:unit, :paragraph, :mirrors, :attribute, :part, keyword_init: true)

      def self.read(bytes, name:, options: {}) = new(bytes, name, options)

      attr_reader :units, :options, :container

      def initialize(bytes, name, options)
        @name = name
        @options = self.class::DEFAULTS.merge(options)
        @container = Container.new(bytes, name)
        @places, @counters = [], Hash.new(0)
      end

      def source_language = nil
      def bilingual? = false

      def write(contents, target_language: nil, **)
        return container.bytes if contents.empty?

        made = container.write(unspent.apply(contents, target_language))
        @spent = true
        made
      end

      # The document as HTML; formats say `page`.
      def preview(&block) = unspent.page(&block)

      # Parts that differ from those of the other file although nothing in them was to be translated; for
      # parts with text, whether anything but the text differs.
      def untouched(other)
        textual = @places.flat_map { |place| [place, *place.mirrors].map(&:part) }.uniq
        names = container.entries
        return ["the list of parts"] if names != other.container.entries

        names.reject do |name|
          container.read(name) == other.container.read(name) ||
            (textual.include?(name) && frame(name) == other.frame(name))
        end
      end

      # Puts the contents in place; returns {path => bytes} of the parts that changed.
      def apply(contents, target_language)
        parts = {}
        @places.each do |place|
          content = contents[place.unit.id] or next
          if place.attribute
            place.attribute.content = content.text
          else
            place.paragraph.write(content, target_language)
          end
          place.mirrors&.each { |mirror| mirror.paragraph.write(content, target_language) }
          [place, *place.mirrors].each { |changed| parts[changed.part] = true }
        end
        parts.to_h do |path, _|
          [
            path,
            @parsed
              .fetch(path)
              .then do |xml|
                xml.to_xml(
                  encoding: xml.encoding || "UTF-8",
                  save_with: Nokogiri::XML::Node::SaveOptions::AS_XML
                )
              end
          ]
        end
      end

      private

      # This file, or once its trees were changed by writing, a new reading of it.
      def unspent = @spent ? self.class.new(container.bytes, @name, @options) : self

      def parse(path) = (@parsed ||= {})[path] ||= container.xml(path)

      def short(path) = File.basename(path, ".xml")
    end
  end
end
