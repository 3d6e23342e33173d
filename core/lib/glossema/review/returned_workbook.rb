# A review sheet that came back as XLSX. The rows are found by what is hidden in them, the columns by their
# headings.
require "cgi"
require "nokogiri"

module Glossema
  module Review
    class ReturnedWorkbook
      MAIN = "xl/workbook.xml".freeze
      SHEET_ID = /#gl-sheet:([\w.-]+)/

      # Is this a ZIP with a workbook in it?
      def self.workbook?(bytes)
        !Zip::File.open_buffer(StringIO.new(bytes)).find_entry(MAIN).nil?
      rescue Zip::Error
        false
      end

      # As Returned answers them.
      attr_reader :id, :rows, :added, :doubled

      # Raises Refused "damaged" and what reading a ZIP refuses, "sheet-none" where no row of ours is in it.
      def initialize(bytes, name)
        @container = Formats::Container.new(bytes, name)
        @saved = LastSaved.new(@container)
        lines = sheets.flat_map { |path| lines(path) }
        columns(lines)
        read(lines)
        raise Refused.new("sheet-none", name: name) if @rows.empty?
      end

      private

      # cells: {column, from 0 => text}; comments: [Comment …]
      Line = Struct.new(:cells, :comments, keyword_init: true) do
        def text = cells.values.join("\n")
      end

      def sheets
        @container.entries.grep(%r{\Axl/worksheets/[^/]+\.xml\z}).sort_by { |path| [path.size, path] }
      end

      def lines(path)
        said = comments(path)
        all(@container.xml(path), "row").map do |row|
          cells = all(row, "c").to_h { |cell| [column_of(cell["r"]), text_of(cell)] }
          Line.new(cells: cells, comments: said.fetch(row["r"].to_s, []))
        end
      end

      def all(node, name) = node ? node.xpath(".//*[local-name() = '#{name}']").to_a : []

      def column_of(reference)
        reference[/\A[A-Z]+/].each_char.reduce(0) { |sum, letter| (sum * 26) + letter.ord - 64 } - 1
      end

      def text_of(cell)
        case cell["t"]
        when "s" then shared[all(cell, "v").first&.text.to_i].to_s
        when "inlineStr" then joined(cell)
        else unescaped(all(cell, "v").first&.text.to_s)
        end
      end

      def shared = @shared ||= all(@container.xml("xl/sharedStrings.xml"), "si").map { |node| joined(node) }

      # Texts of runs; how something is read aloud is no part of it.
      def joined(node)
        texts = node.xpath(".//*[local-name() = 't'][not(ancestor::*[local-name() = 'rPh'])]")
        unescaped(texts.map(&:text).join)
      end

      def unescaped(text)
        text.gsub(/_x(\h{4})_/) { [Regexp.last_match(1).hex].pack("U") }.gsub(/\r\n?/, "\n")
      end

      # The heading is the row with the id of the sheet in it.
      def columns(lines)
        heading = lines.find { |line| line.text.match?(SHEET_ID) }
        @id = heading&.text.to_s[SHEET_ID, 1]
        @heading = heading
        @at = { "target" => column(heading, "target"), "remarks" => column(heading, "remarks") }
      end

      def column(heading, name)
        names = Instructions.languages.map { |lang| Instructions.headings(lang).fetch(name) }
        heading&.cells&.find { |_, text| names.include?(text.strip) }&.first
      end

      def read(lines)
        @added, found = [], []
        lines.each_with_index do |line, index|
          token = line.text.match(TOKEN)
          if token then found << back(line, token)
          elsif index > lines.index(@heading).to_i then note_added(line)
          end
        end
        by_id = found.group_by(&:id)
        @doubled = by_id.select { |_, list| list.size > 1 }.keys
        @rows = by_id.values.map(&:first)
      end

      # Names of files stand alone in the first cell.
      def note_added(line)
        text = line.cells[@at["target"]].to_s.strip
        @added << text unless text.empty?
      end

      def back(line, token)
        trouble = @at["target"].nil? ? "cells" : nil
        raw = trouble ? [] : [[line.cells[@at["target"]].to_s, false]]
        Returned::Back.new(id: CGI.unescape(token[1]), stamp: token[2], raw: raw, trouble: trouble,
          author: @saved.author, at: @saved.at, comments: [remark(line)].compact + line.comments)
      end

      def remark(line)
        text = @at["remarks"] && line.cells[@at["remarks"]].to_s.strip
        return if text.to_s.empty?

        Returned::Comment.new(text: text, author: @saved.author, at: @saved.at)
      end

      # {number of a row => [Comment …]}; those about terms are ours.
      def comments(path)
        part = related(path, "comments") or return {}
        authors = all(@container.xml(part), "author").map(&:text)
        all(@container.xml(part), "comment").group_by { |node| node["ref"][/\d+/] }.transform_values do |list|
          list.filter_map { |node| comment(node, authors[node["authorId"].to_i]) }
        end
      end

      def comment(node, author)
        text = joined(node).strip
        # Spreadsheets put the author in front, and some keep the name nowhere else.
        return if text.start_with?("#{Sheet::TERMS}:\n")

        author = author.to_s.strip.empty? ? @saved.author : author
        Returned::Comment.new(text: text.delete_prefix("#{author}:\n"), author: author, at: @saved.at)
      end

      def related(path, kind)
        relations = @container.xml("xl/worksheets/_rels/#{File.basename(path)}.rels")
        target = all(relations, "Relationship").find { |one| one["Type"].end_with?("/#{kind}") }&.[]("Target")
        return unless target

        whole = target.start_with?("/") ? target.delete_prefix("/") : File.join("xl/worksheets", target)
        Pathname.new(whole).cleanpath.to_s
      end
    end
  end
end
