# A review sheet that came back: its rows by what is hidden in them, wherever they stand, with what was
# changed, by whom and when, and the comments on them.
require "cgi"
require "nokogiri"

module Glossema
  module Review
    class Returned
      W = SheetParts::W
      # A row that came back. id, stamp: see Row; raw: its target as it is now, [[text, is it a code?] …], see
      # CodeMarks; author, at (ISO 8601): of its last change, or those of the file; comments: [Comment …];
      # notes: what stands in its column for notes, [Comment …], also what went out; trouble: why it cannot be
      # read, or nil; source: its text, where it may have been changed.
      Back = Struct.new(:id, :stamp, :raw, :author, :at, :comments, :notes, :trouble, :source, :state,
        keyword_init: true)
      Comment = Struct.new(:text, :author, :at, keyword_init: true)
      CELLS = "./w:tc|./w:sdt/w:sdtContent/w:tc".freeze
      GONE = "ancestor::w:del or ancestor::w:moveFrom".freeze

      # id: of the sheet, or nil where it was dropped; rows: [Back …] in the order in which they stand now,
      # each once; added: texts of rows that are none of ours; doubled: ids of rows that stand there more
      # than once.
      attr_reader :id, :rows, :added, :doubled

      # Raises Refused "damaged" and what reading a ZIP refuses, "sheet-none" where no row of ours is in it.
      def initialize(bytes, name)
        @container = Formats::Container.new(bytes, name)
        @document = @container.xml("word/document.xml")
        raise Refused.new("damaged.no-main-part", name: name) unless @document

        @saved = LastSaved.new(@container)
        @id = custom_id
        @added, @doubled = [], []
        read(name)
      end

      private

      def read(name)
        found = @document.xpath("//w:tr", w: W).filter_map { |row| back(row) }
        raise Refused.new("sheet-none", name: name) if found.empty?

        by_id = found.group_by(&:id)
        @doubled = by_id.select { |_, list| list.size > 1 }.keys
        @rows = by_id.values.map(&:first)
      end

      def back(row)
        # A row that was deleted with its changes tracked is not there.
        return if row.at_xpath("./w:trPr/w:del", w: W)

        token = all_text(row).match(TOKEN)
        return note_added(row) unless token

        cell = target_cell(row)
        Back.new(id: CGI.unescape(token[1]), stamp: token[2], raw: cell ? pieces(cell) : [],
          comments: comments_of(row), notes: notes_of(row, cell), trouble: cell ? nil : "cells",
          **last_change(cell || row))
      end

      # Behind the target.
      def notes_of(row, target)
        cells = row.xpath(CELLS, w: W).to_a
        at = target && cells.index(target)
        cell = at && cells[at + 1] or return []
        cell.xpath(".//w:p", w: W).filter_map do |line|
          text = all_text(line).strip
          Comment.new(text: text, **last_change(line)) unless text.empty?
        end
      end

      def all_text(row) = row.xpath(".//w:t[not(#{GONE})]", w: W).map(&:text).join

      # Headings and the names of files are ours too.
      OURS = %w[ReviewHeading ReviewFile].freeze

      def note_added(row)
        styles = row.xpath(".//w:pStyle/@w:val", w: W).map(&:value)
        text = all_text(row).strip
        @added << text unless text.empty? || styles.intersect?(OURS) || nested?(row)
        nil
      end

      def nested?(row) = !row.at_xpath("ancestor::w:tc", w: W).nil?

      # The cell in the style of targets; where the style was dropped, the one in the place of targets.
      def target_cell(row)
        cells = row.xpath(CELLS, w: W)
        styled = cells.find do |cell|
          cell.at_xpath(".//w:pPr/w:pStyle[starts-with(@w:val, '#{SheetParts::TARGET}')]", w: W)
        end
        styled || (cells[2] if cells.size.between?(3, 4))
      end

      # [[text, in the style of codes?] …]; paragraphs are apart by a line break.
      def pieces(cell)
        cell.xpath(".//w:p", w: W).each_with_index.flat_map do |paragraph, index|
          nodes = ".//w:t|.//w:tab|.//w:br|.//w:noBreakHyphen"
          found = paragraph.xpath(nodes, w: W).reject { |node| node.at_xpath("self::*[#{GONE}]", w: W) }
          list = found.map { |node| [text_of(node), coded?(node)] }
          index.positive? ? [["\n", false], *list] : list
        end
      end

      def text_of(node)
        { "tab" => "\t", "br" => "\n", "noBreakHyphen" => "\u2011" }.fetch(node.name) { node.text }
      end

      def coded?(node)
        style = node.at_xpath("ancestor::w:r[1]/w:rPr/w:rStyle/@w:val", w: W)
        style&.value.to_s.start_with?(SheetParts::CODE)
      end

      # {author:, at:} of the tracked changes, or of the file: all who made one, and when the latest was made.
      def last_change(cell)
        changes = cell.xpath(".//*[self::w:ins or self::w:del or self::w:moveTo or self::w:moveFrom]", w: W)
        dated = changes.reject { |one| stamp_of(one).empty? }.sort_by { |one| stamp_of(one) }
        return { author: @saved.author, at: @saved.at } if dated.empty?

        authors = dated.map { |one| of_change(one, "author").to_s }.uniq - [""]
        { author: authors.join(", "), at: stamp_of(dated.last) }
      end

      def of_change(node, name) = node.attribute_with_ns(name, W)&.value
      def stamp_of(node) = of_change(node, "date").to_s

      def custom_id
        custom = @container.xml("docProps/custom.xml") or return
        text = custom.at_xpath("//*[local-name() = 'property'][@name = 'ReviewSheet']")&.text.to_s.strip
        text.empty? ? nil : text
      end

      def comments_of(row)
        ids = row.xpath(".//w:commentReference/@w:id", w: W).map(&:value)
        ids.filter_map { |id| comments[id] }
      end

      # {id => Comment}; those about terms are ours.
      def comments
        @comments ||= begin
          part = @container.xml("word/comments.xml")
          list = part ? part.xpath("//w:comment", w: W) : []
          list.reject { |one| of_change(one, "author") == Sheet::TERMS }.to_h do |one|
            text = one.xpath(".//w:p", w: W).map { |line|
              line.xpath(".//w:t", w: W).map(&:text).join
            }.join("\n")
            [of_change(one, "id"),
             Comment.new(text: text.strip, author: of_change(one, "author"), at: of_change(one, "date"))]
          end
        end
      end
    end
  end
end
