# Termbases as tables: a row for each concept, with a column for each language and what else is said, or a row
# for each term with its language in a column. What the columns hold is guessed, and can be said.
module Glossema
  module Exchange
    class TermTable
      # What a column may hold; those of LOCAL hold it for one language: "term:it".
      CONCEPT = %w[id subject client definition note picture source language].freeze
      LOCAL = %w[term status forbidden recognise cased part_of_speech gender number example term_note].freeze
      # By which words in a heading a column is known; the first of ours are what we write.
      WORDS = {
        "id" => %w[id concept entry nr],
        "subject" => %w[subject field domain],
        "client" => %w[client customer],
        "definition" => %w[definition meaning],
        "note" => %w[note notes comment comments remark remarks],
        "picture" => %w[picture image],
        "source" => %w[source],
        "language" => %w[language lang locale],
        "term" => %w[term terms],
        "status" => %w[status],
        "forbidden" => %w[forbidden],
        "recognise" => %w[recognised],
        "cased" => %w[case],
        "part_of_speech" => %w[speech pos],
        "gender" => %w[gender],
        "number" => %w[plural],
        "example" => %w[example context]
      }.freeze
      # Synonyms in one cell.
      APART = /\s*[|;\n]\s*/
      ROWS = 10_000_000
      SAMPLE = 60
      SHOWN = 5
      FAULTS = 50
      TAG = /\A([A-Za-z]{2}(?:[-_][A-Za-z]{4})?(?:[-_](?:[A-Za-z]{2}|\d{3}))?|[a-z]{3})(?=\z|\s*[:,(_|–-])/
      YES = /\A(?:yes|y|true|x|1|forbidden)\z/i

      # One row of a table that cannot be taken: as a fault.
      Fault = ElementStream::Fault

      # bytes, name: of a CSV, TSV or XLSX file; languages: of the termbase, to guess by where no heading
      # says.
      def initialize(bytes, name, languages = [])
        file = Formats.detect(bytes, name).read(bytes, name: name, options: {})
        raise Refused.new("no-table", name: name) unless file.respond_to?(:first_rows)

        rows = file.first_rows(ROWS).map { |row| row.map { |cell| Cells.plain(cell) } }
        @rows = rows.each_with_index.reject { |row, _|
          row.all? { |cell|
            cell.strip.empty?
          }
        }
        raise Refused.new("table-empty", name: name) if @rows.empty?

        @name, @languages = name, languages
        @count = @rows.map { |row, _| row.size }.max
      end

      # {columns: [{label:, role:}], rows: the first ones, headed: is the first row a heading?}; role: of
      # CONCEPT, "term:it" and the like, "term" (its language is in a column), or nil.
      def to_h
        {
          columns: (0...@count).map { |index| { label: label(index), role: roles[index] } },
          rows: body.first(SHOWN).map { |row, _| (0...@count).map { |index| row[index].to_s[0, 120] } },
          headed: headed?
        }
      end

      # What the columns are taken to hold.
      def roles = @roles ||= headed? ? by_heading : by_text

      # Yields each Terms::Entry with its row (from 1). roles: an array as in to_h. Returns [Fault …]. Raises
      # Refused "columns-without-terms".
      def each_entry(roles = self.roles, &block)
        unless roles.any? { |role| role.to_s.match?(/\Aterm(?::|\z)/) }
          raise Refused.new("columns-without-terms.any", name: @name)
        end
        if roles.include?("term") && !roles.include?("language")
          raise Refused.new("columns-without-terms.language", name: @name)
        end

        Rows.new(body, roles).each_entry(&block)
      end

      # How many rows it has.
      def size = @rows.size

      # Rows for a table of these entries, the first one the headings.
      def self.rows(entries) = TermRows.new(entries).rows

      private

      def heading = @rows.first.first
      def body = headed? ? @rows.drop(1) : @rows

      def label(index)
        said = headed? ? heading[index].to_s.strip : ""
        [Formats::Columns.letters(index), said].reject(&:empty?).join(" · ")
      end

      # Headings name something we know, and no two the same.
      def headed?
        return @headed if defined?(@headed)

        found = by_heading.compact
        @headed = @rows.size > 1 && found.any? && found.uniq.size == found.size &&
          found.size * 2 >= heading.count { |cell| !cell.strip.empty? }
      end

      def by_heading = @by_heading ||= (0...@count).map { |index| role(heading[index].to_s.strip) }

      # "it" → "term:it"; "Italian, status" → "status:it"; "Definition" → "definition".
      def role(text)
        return if text.empty? || text.length > 60

        tag = tag_of(text)
        words = text.downcase.scan(/\p{L}+/)
        fields = WORDS.select { |_, known| words.intersect?(known) }.keys
        return local(fields - ["term"], tag) if tag
        return "term" if fields.include?("term") && by_language_column?

        fields.find { |field| CONCEPT.include?(field) }
      end

      def local(fields, tag)
        field = fields.first || "term"
        field = "term_note" if field == "note"
        LOCAL.include?(field) ? "#{field}:#{tag}" : field
      end

      def by_language_column? =
        heading.any? { |cell|
          cell.downcase.scan(/\p{L}+/).intersect?(WORDS["language"]) && tag_of(cell).nil?
        }

      # The language a heading names: by name ("Italian, status"), or by a tag at its beginning or in
      # brackets.
      def tag_of(text)
        tag = text[TAG, 1] || text[/[(\[]([A-Za-z]{2}(?:[-_][A-Za-z]{2})?)[)\]]/, 1]
        tag = nil if WORDS.each_value.any? { |words| words.include?(text.downcase) }
        named = Languages.named(text)
        named.nil? && tag && Languages.known?(tag[/\A[A-Za-z]+/].downcase) ? Tbx.language(tag) : named
      end

      # Texts without headings: the first column with text is in the first language asked for, the others are
      # told by what they hold.
      def by_text
        left = @languages.dup
        (0...@count).map do |index|
          cells = @rows.first(SAMPLE * 5).map { |row, _| row[index].to_s }
          next unless cells.count { |cell| cell.match?(/\p{L}/) } * 2 >= cells.size

          spoken = Languages.guess(cells.join(". "))
          tag = left.find { |one| spoken && Languages.primary(one) == spoken } || left.first || spoken
          left.delete(tag)
          "term:#{tag || "und"}"
        end
      end
    end
  end
end

require "glossema/exchange/term_table/rows"
require "glossema/exchange/term_table/term_rows"
