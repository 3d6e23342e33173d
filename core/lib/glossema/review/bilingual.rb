# The text of a round for programs that read bilingual files: XLIFF 2.1, XLIFF 1.2, TMX 1.4b; and back,
# whatever they add or leave out. Codes keep their numbers.
require "nokogiri"

module Glossema
  module Review
    class Bilingual
      # {form => ending}
      FORMS = { "xliff" => "xlf", "xliff12" => "xlf", "tmx" => "tmx" }.freeze
      # By what the sheet itself is told, in the name of the file that it says it is of.
      TOKEN = /#gl-sheet:([\w.-]+)/
      ID = /\As?(\d+|.*)\z/m

      # form: of FORMS; id: of the sheet; rows: [Row …] → text.
      def self.write(form, id:, title:, languages:, rows:)
        name = "#{title}#gl-sheet:#{id}"
        case form
        when "xliff" then second(name, languages, rows)
        when "xliff12" then BilingualWriter.new(name, languages).xliff(rows)
        else BilingualWriter.new(name, languages).tmx(rows)
        end
      end

      def self.second(name, languages, rows)
        list = rows.map do |row|
          Exchange::Xliff::Row.new(id: row.id.to_s, unit: row.id.to_s, source: row.source, target: row.target,
            state: row.state || "translated", locked: row.locked,
            note: row.notes.to_a.join(" · "))
        end
        Exchange::Xliff.write(name, languages, list)
      end
      private_class_method :second

      # As Returned answers them.
      attr_reader :id, :rows, :added, :doubled

      # Raises Refused "damaged.xml" and "sheet-none".
      def initialize(bytes, name)
        @document = parsed(bytes, name)
        @document.remove_namespaces!
        @id = @document.xpath("//@original|//header/@o-tmf|//header/prop").map(&:text).join(" ")[TOKEN, 1]
        found = backs
        raise Refused.new("sheet-none", name: name) if found.empty?

        by_id = found.group_by(&:id)
        @added, @doubled = [], by_id.select { |_, list| list.size > 1 }.keys
        @rows = by_id.values.map(&:first)
      end

      private

      def parsed(bytes, name)
        Formats::GuardedXml.parse(bytes)
      rescue Nokogiri::XML::SyntaxError, Formats::GuardedXml::Declares
        raise Refused.new("damaged.xml", name: name, place: "")
      end

      def backs
        case @document.root&.name
        when "xliff" then second? ? segments : units
        when "tmx" then pairs
        else []
        end
      end

      def second? = @document.root["version"].to_s.start_with?("2")

      def segments
        @document.xpath("//segment[@id]").filter_map { |one| back(one["id"].delete_prefix("s"), one) }
      end

      def units = @document.xpath("//trans-unit[@id]").filter_map { |one| back(one["id"], one) }

      def back(id, node)
        target = node.at_xpath("target") or return
        made(id, node.at_xpath("source"), target, author: nil, at: nil, state: node["state"],
          notes: node.xpath("note|ancestor::unit/notes/note"))
      end

      def pairs
        @document.xpath("//tu[@tuid]").filter_map do |unit|
          source, target = unit.xpath("tuv/seg").first(2)
          next unless target

          last = target.parent
          at = (last["changedate"] || unit["changedate"]).to_s
          made(unit["tuid"], source, target, author: last["changeid"] || unit["changeid"], at: iso(at),
            notes: unit.xpath("note|tuv/note"))
        end
      end

      # 20261125T083100Z → 2026-11-25T08:31:00Z
      def iso(stamp)
        match = stamp.match(/\A(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z\z/)
        match && format("%s-%s-%sT%s:%s:%sZ", *match.captures)
      end

      def made(id, source, target, author:, at:, state: nil, notes: [])
        Returned::Back.new(id: id, raw: pieces(target), author: author, at: at, comments: [], trouble: nil,
          notes: notes.map { |note| note_of(note) }, state: state, source: source && source_text(source))
      end

      def note_of(node) = Returned::Comment.new(text: node.text.strip, author: node["from"], at: nil)

      def source_text(node) = pieces(node).reject(&:last).map(&:first).join

      # [[text, code?] …]; elements that are no codes are looked through.
      def pieces(node)
        node.children.flat_map do |child|
          next [[child.text, false]] if child.text? || child.cdata?
          next [] unless child.element?

          code(child) || pieces(child)
        end
      end

      # Codes as marks, or nil for other elements. What stands inside those of TMX is no text.
      def code(node)
        number = (node["startRef"] || node["x"] || node["i"] || node["id"]).to_s
        case node.name
        when "pc", "g" then [mark(number), *pieces(node), mark("/#{number}")]
        when "sc", "bpt", "bx" then [mark(number)]
        when "ec", "ept", "ex" then [mark("/#{number}")]
        when "ph", "x", "it" then [mark("#{number}/")]
        end
      end

      def mark(number) = ["‹#{number}›", true]
    end

    # XLIFF 1.2 and TMX.
    class BilingualWriter
      def initialize(name, languages)
        @name, @languages = name, languages
      end

      def xliff(rows)
        built do |xml|
          xml.xliff(xmlns: "urn:oasis:names:tc:xliff:document:1.2", version: "1.2") do
            xml.file(original: @name, "source-language": @languages[0], "target-language": @languages[1],
              datatype: "plaintext") do
              xml.body { rows.each { |row| unit(xml, row) } }
            end
          end
        end
      end

      def tmx(rows)
        built do |xml|
          xml.tmx(version: "1.4") do
            xml.header(creationtool: "Glossema", creationtoolversion: "1", segtype: "sentence",
              adminlang: "en", srclang: @languages[0], datatype: "plaintext", "o-tmf": @name)
            xml.body { rows.each { |row| pair(xml, row) } }
          end
        end
      end

      private

      def built(&block)
        Content.well_formed_xml(Nokogiri::XML::Builder.new(encoding: "UTF-8", &block).to_xml(indent: 1))
      end

      def unit(xml, row)
        xml.public_send(:"trans-unit", id: row.id.to_s) do
          xml.source("xml:space": "preserve") { codes(xml, row.source) { |*code| in_xliff(xml, *code) } }
          xml.target("xml:space": "preserve", state: "translated") do
            codes(xml, row.target) { |*code| in_xliff(xml, *code) }
          end
          row.notes.to_a.each { |text| xml.note(text) }
        end
      end

      def pair(xml, row)
        xml.tu(tuid: row.id.to_s) do
          @languages.zip([row.source, row.target]).each do |lang, content|
            xml.tuv("xml:lang": lang) { xml.seg { codes(xml, content) { |*code| in_tmx(xml, *code) } } }
          end
        end
      end

      def codes(xml, content)
        content.items.each { |item| item.is_a?(String) ? xml.text(item) : yield(item) }
      end

      def in_xliff(xml, code)
        name = if code.alone?
          :x
        else
          (code.open? ? :bx : :ex)
        end
        xml.public_send(name, id: code.id.to_s)
      end

      def in_tmx(xml, code)
        return xml.ph(code.display.to_s, x: code.id.to_s) if code.alone?

        xml.public_send(code.open? ? :bpt : :ept, i: code.id.to_s, **(code.open? ? { x: code.id.to_s } : {}))
      end
    end
  end
end
