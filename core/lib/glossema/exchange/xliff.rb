# Writes bilingual text as XLIFF 2.1 (OASIS), with states, where a target came from, and what it came from as
# translation candidates (module Matches).
require "nokogiri"

module Glossema
  module Exchange
    class Xliff
      # One segment to write: id and unit (texts), source and target (Content, or nil for no target), state
      # (one of STATES), origin: {"kind" => as a match's, "score", "memory", "source" (written)} or nil;
      # locked: it is not to be translated.
      Row = Struct.new(:id, :unit, :source, :target, :state, :origin, :note, :locked, keyword_init: true)
      # Ours and what XLIFF calls them; a draft is an initial one that says so.
      STATES = {
        "untouched" => "initial", "draft" => "initial", "translated" => "translated",
        "reviewed" => "reviewed", "final" => "final"
      }.freeze
      SPACES = {
        "xmlns" => "urn:oasis:names:tc:xliff:document:2.0",
        "xmlns:mtc" => "urn:oasis:names:tc:xliff:matches:2.0",
        "version" => "2.1"
      }.freeze
      # What a candidate is to the module: in context, from a memory, by machine, put together.
      TYPES = { "context" => "icm", "machine" => "mt", "assembled" => "am" }.freeze
      # What cannot stand in an id.
      NO_NAME = /[^\p{L}\p{N}._:-]/

      # name: of the file; languages: [source tag, target tag]; rows: Enumerable of Row, those of a unit
      # together. Returns the document as text.
      def self.write(name, languages, rows) = new(name, languages).document(rows)

      def initialize(name, languages)
        @name, @languages = name, languages
      end

      def document(rows)
        builder = Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
          xml.xliff(**SPACES, "srcLang" => @languages[0], "trgLang" => @languages[1]) do
            xml.file(id: "f1", original: @name) do
              rows.chunk_while { |one, other| one.unit == other.unit }.each_with_index do |list, index|
                unit(xml, list, index)
              end
            end
          end
        end
        Content.well_formed_xml(builder.to_xml(indent: 1))
      end

      private

      def unit(xml, rows, index)
        said = { id: "u#{index + 1}", name: rows.first.unit, translate: ("no" if rows.all?(&:locked)) }
        xml.unit(**said.compact) do
          candidates(xml, rows)
          notes(xml, rows)
          rows.each { |row| segment(xml, row) }
        end
      end

      def candidates(xml, rows)
        rows = rows.select { |row| row.origin && row.target && row.origin["score"] }
        return if rows.empty?

        xml["mtc"].matches do
          rows.each do |row|
            said = { ref: "#s#{name(row.id)}", matchQuality: row.origin["score"].to_s,
                     type: TYPES.fetch(row.origin["kind"], "tm"), origin: row.origin["memory"] }.compact
            xml["mtc"].match(**said) do
              xml.source(Content.plain(row.origin["source"] || row.source.written))
              xml.target(row.target.text)
            end
          end
        end
      end

      def notes(xml, rows)
        notes = rows.filter_map(&:note).reject(&:empty?).uniq
        return if notes.empty?

        xml.notes { notes.each { |note| xml.note(note) } }
      end

      def segment(xml, row)
        said = { id: "s#{name(row.id)}", state: STATES.fetch(row.state), subState: sub_state(row) }.compact
        xml.segment(**said) do
          content(xml, "source", row.source)
          content(xml, "target", row.target) if row.target
        end
      end

      def name(id) = id.gsub(NO_NAME) { |letter| format("_%x", letter.ord) }

      # A name of ours for where it came from; a draft is told from an untouched one by it.
      def sub_state(row)
        return unless row.target

        kind = row.origin&.fetch("kind", nil)
        kind ? "glossema:#{kind}" : ("glossema:draft" if row.state == "draft")
      end

      def content(xml, name, content)
        xml.public_send(name, "xml:space" => "preserve") { items(xml, content.items) }
      end

      # Pairs that nest become one element; others an opening and a closing one.
      def items(xml, items)
        at = 0
        while at < items.size
          item = items[at]
          close = item.is_a?(Code) && item.open? ? closing(items, at) : nil
          if close
            xml.pc(**said(item)) { items(xml, items[(at + 1)...close]) }
            at = close
          else
            single(xml, item)
          end
          at += 1
        end
      end

      # The place of the code that closes the one at a place, if all between is whole.
      def closing(items, at)
        id = items[at].id
        close = (at + 1...items.size).find { |place| closes?(items[place], id) } or return
        pairs = items[(at + 1)...close].grep(Code).reject(&:alone?).partition(&:open?)
        close if pairs.map { |codes| codes.map(&:id).sort }.uniq.size == 1
      end

      def closes?(item, id) = item.is_a?(Code) && item.close? && item.id == id

      def single(xml, item)
        return xml.text(item) if item.is_a?(String)
        return xml.ph(**said(item)) if item.alone?

        item.open? ? xml.sc(**said(item)) : xml.ec(startRef: item.id.to_s)
      end

      def said(code)
        alone = code.alone? ? { equiv: code.equiv.to_s, disp: code.display.to_s } : {}
        { id: code.id.to_s, **alone.reject { |_, text| text.empty? } }
      end
    end
  end
end
