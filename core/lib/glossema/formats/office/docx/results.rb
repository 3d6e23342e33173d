# The results of fields in a DOCX that repeat a text of the document: written anew after the text was
# translated.
module Glossema
  module Formats
    class Docx
      class Results < ComputedTexts
        # Fields whose results are numbers, dates, or words that are nobody's text.
        SILENT_NAMES = %w[
          PAGE NUMPAGES SECTIONPAGES SECTION SEQ DATE TIME CREATEDATE SAVEDATE PRINTDATE EDITTIME PAGEREF
          NOTEREF NUMCHARS NUMWORDS FILENAME FILESIZE AUTHOR LASTSAVEDBY USERNAME
          USERINITIALS USERADDRESS HYPERLINK
          FORMTEXT FORMCHECKBOX LISTNUM AUTONUM AUTONUMLGL AUTONUMOUT SYMBOL EQ ADVANCE MERGEFIELD ADDIN
          MACROBUTTON EMBED LINK INCLUDEPICTURE SHAPE REVNUM TEMPLATE XE TC TA RD SET ASK FILLIN
        ].freeze
        SILENT = /\A\s*(?:=|(?:#{SILENT_NAMES.join("|")})\b)/i
        UNREAD = %w[rPr pPr del moveFrom drawing pict object txbxContent AlternateContent instrText].freeze
        MARKED = /instrText|fldSimple/

        # What a reader sees of a paragraph's own text; with `label` only up to the end of its first number
        # field.
        def self.shown(node, label: false)
          text, depth, _ = +"", [], nil
          walk = lambda do |parent|
            Runs.each_element(parent) do |child|
              case child.name
              when "t" then text << child.text
              when "tab", "br", "cr" then text << " "
              when "noBreakHyphen" then text << "\u2011"
              when "fldChar"
                kind = Styles.value(child, "fldCharType")
                depth.push(+"") if kind == "begin"
                throw :label, text if kind == "end" && label && depth.pop.to_s.match?(/\A\s*SEQ\b/i)
              when "instrText" then depth.last&.<<(child.text)
              when "fldSimple"
                walk.call(child)
                throw :label, text if label && Styles.value(child, "instr").to_s.match?(/\A\s*SEQ\b/i)
              else walk.call(child) unless UNREAD.include?(child.name)
              end
            end
          end
          catch(:label) do
            walk.call(node)
            label ? nil : text
          end
        end

        # A field that is open while its document is walked; groups: for each paragraph of its result the
        # pieces between its tabs.
        Field = Struct.new(:instruction, :phase, :groups) do
          def silent? = instruction.match?(SILENT)

          def add(paragraph, node)
            self.groups ||= []
            groups << [paragraph, [[]], nil] unless groups.last && groups.last[0].equal?(paragraph)
            groups.last[1].last << node if node
          end

          def part = groups&.last&.fetch(1)&.push([])
          def anchor(name) = groups&.last && groups.last[2] ||= name
        end

        # stories: those of the file.
        def initialize(stories)
          super()
          @stories = stories
        end

        private

        def renewed_parts = @stories.select { |story| story.xml && renew_story(story) }.map(&:path)

        def anchors(node)
          node.xpath(".//*[local-name()='bookmarkStart']").map { |mark| Styles.value(mark, "name") }
        end

        def renew_story(story)
          @open, @done = [], []
          visit(story.xml.root, nil)
          @done.map { |field| renew_field(field) }.any?
        end

        def visit(parent, paragraph)
          Runs.each_element(parent) do |child|
            case child.name
            when "t" then result(paragraph, child)
            when "tab" then @open.last&.part if @open.last&.phase == :result
            when "fldChar" then mark(child)
            when "instrText" then @open.last.instruction << child.text if @open.last&.phase == :instruction
            when "fldSimple" then simple(child, paragraph)
            when "p" then visit(child, child)
            when "rPr", "pPr", "del", "moveFrom" then next
            else
              visit(child, paragraph)
            end
            leads_to(child) if child.name == "hyperlink"
          end
        end

        def result(paragraph, node)
          field = @open.last
          field.add(paragraph, node) if field&.phase == :result
        end

        def leads_to(link)
          name = Styles.value(link, "anchor")
          @open.last&.anchor(name) if name
        end

        def mark(node)
          case Styles.value(node, "fldCharType")
          when "begin" then @open.push(Field.new(+"", :instruction))
          when "separate" then @open.last.phase = :result if @open.last
          when "end" then close
          end
        end

        def simple(node, paragraph)
          @open.push(Field.new(Styles.value(node, "instr").to_s, :result))
          visit(node, paragraph)
          close
        end

        # A page reference inside an entry of the contents says where the entry leads.
        def close
          field = @open.pop or return
          name = field.instruction[/\A\s*PAGEREF\s+(\S+)/i, 1]
          @open.last&.anchor(name) if name
          @done << field if field.groups && !field.silent?
        end

        def renew_field(field)
          reference = field.instruction[/\A\s*REF\s+(\S+)/i, 1]
          field.groups.map do |_, pieces, anchor|
            pieces = [pieces.flatten] if reference
            @renewal.renew(pieces, reference || anchor) { |node, text| write(node, text) }
          end.any?
        end

        def write(node, text)
          node.content = text
          node["xml:space"] = "preserve"
        end
      end
    end
  end
end
