# What a translation must leave alone in a packaged document, judged apart from the readers of the formats:
# links and other relations, pictures, notes, bookmarks, fields, comments, tables and their cells, with their
# name spaces and values.
module Glossema
  class Proof
    class Structure
      # Elements whose number must stay the same, and what they are (the texts are in data/refusals).
      COUNTED_ELEMENTS = {
        "links" => %w[hyperlink hlinkClick hlinkHover a],
        "pictures" => %w[drawing pict blip pic image],
        "frames" => %w[frame graphicFrame],
        "shapes" => %w[custom-shape AlternateContent],
        "objects" => %w[object],
        "footnote-marks" => %w[footnoteReference],
        "endnote-marks" => %w[endnoteReference],
        "notes" => %w[note],
        "comment-marks" => %w[commentReference],
        "comments" => %w[annotation],
        "bookmarks" => %w[bookmarkStart bookmarkEnd bookmark bookmark-start bookmark-end],
        "reference-marks" => %w[reference-mark],
        "references" => %w[reference-ref bookmark-ref note-ref],
        "numbers" => %w[sequence],
        "page-numbers" => %w[page-number],
        "fields" => %w[fldSimple instrText fldChar fld],
        "controls" => %w[sdt],
        "formulas" => %w[oMath f],
        "contents" => %w[table-of-content],
        "ruby-texts" => %w[ruby],
        "tables" => %w[tbl table],
        "rows" => %w[tr table-row],
        "cells" => %w[tc table-cell covered-table-cell c],
        "merged-cells" => %w[mergeCell],
        "rules-for-input" => %w[dataValidation],
        "conditional-formats" => %w[conditionalFormatting],
        "names-of-ranges" => %w[definedName]
      }.flat_map { |word, list| list.map { |name| [name, word] } }.to_h.freeze
      # Name spaces whose attributes lead somewhere: their values must stay.
      LEADING = %r{/relationships\z|/xlink\z}
      MARKUP = /\.(?:xml|rels)\z/

      # Counts what matters in one part. Raises on XML that is not well formed.
      class Tally < Nokogiri::XML::SAX::Document
        attr_reader :elements, :links

        def initialize
          super
          @elements, @links = Hash.new(0), Hash.new(0)
        end

        def start_element_namespace(name, attributes = [], _prefix = nil, uri = nil, _namespaces = [])
          @elements[[uri, name]] += 1 if COUNTED_ELEMENTS.key?(name)
          attributes.each do |attribute|
            @links[[attribute.localname, attribute.value]] += 1 if attribute.uri&.match?(LEADING)
          end
        end

        def error(message) = raise(IllFormed, message.strip)
      end

      # source, written: the bytes of the document and of its translation. Returns [[key, details] …] as a
      # Proof::Difference has them, none when all is kept.
      def self.differences(source, written, name) = new(source, written, name).differences

      def initialize(source, written, name)
        @source, @written = Formats::Container.new(source, name), Formats::Container.new(written, name)
      end

      def differences
        missing = @source.entries - @written.entries
        extra = @written.entries - @source.entries
        [
          *missing.map { |path| ["part-missing", { part: path }] },
          *extra.map { |path| ["part-added", { part: path }] },
          *(@source.entries & @written.entries).flat_map { |path| part(path) }
        ]
      end

      private

      def part(path)
        before, after = @source.read(path), @written.read(path)
        return [] if before == after || !path.match?(MARKUP)
        return [["relations", { part: path }]] if path.end_with?(".rels")

        one = tally(before) or return []
        two = tally(after) or return [["ill-formed", { part: path }]]
        links(path, one.links, two.links) + elements(path, one.elements, two.elements)
      end

      def tally(bytes)
        Tally.new.tap { |tally| Nokogiri::XML::SAX::Parser.new(tally).parse(bytes) }
      rescue IllFormed
        nil
      end

      def links(path, before, after)
        (before.keys | after.keys).filter_map do |key|
          next if before[key] == after[key]

          name, value = key
          difference = before[key] > after[key] ? "link-lost" : "link-added"
          [difference, { part: path, name: name, value: value[0, 60] }]
        end
      end

      def elements(path, before, after)
        (before.keys | after.keys).filter_map do |key|
          next if before[key] == after[key]

          ["elements-changed", { element: COUNTED_ELEMENTS.fetch(key.last), part: path, before: before[key],
                                 now: after[key], name: key.last }]
        end
      end
    end
  end
end
