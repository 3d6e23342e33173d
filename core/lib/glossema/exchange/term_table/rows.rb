# Makes entries of the rows of a table, by what its columns hold.
module Glossema
  module Exchange
    class TermTable
      class Rows
        # body: [[[cell …], index] …]; roles: see TermTable#to_h.
        def initialize(body, roles)
          @body, @roles = body, roles
          @faults = []
        end

        # Yields each entry with the row it begins at; rows of one id are one entry. Returns the faults.
        def each_entry
          groups.each do |rows|
            entry = entry(rows.map(&:first))
            at = rows.first.last + 1
            next fault(at, "there is no term in this row") if entry.terms.empty?

            yield entry, at
          end
          @faults
        end

        private

        def fault(row, message) = @faults.size < FAULTS && @faults << Fault.new(row, message)

        # Rows of the same id, where there are ids, in the order of the first of each.
        def groups
          column = @roles.index("id") or return @body.map { |row| [row] }
          @body.group_by.with_index { |(row, _), index|
            row[column].to_s.strip.then { |id|
              id == "" ? index : id
            }
          }
            .values
        end

        def entry(rows)
          first = rows.first
          sections = {}
          rows.each { |row| row_terms(row).each { |tag, term| add(sections, tag, term) } }
          said = CONCEPT.to_h { |role| [role.to_sym, rows.filter_map { |row| cell(row, role) }.first] }
          Terms::Entry.new(
            id: cell(first, "id"),
            sections: sections.map { |tag, terms| Terms::Section.new(lang: tag, terms: terms) },
            **said.slice(:definition, :subject, :client, :note, :source, :picture)
          )
        end

        def add(sections, tag, term)
          list = sections[tag] ||= []
          list << term unless list.any? { |one| one.text == term.text }
        end

        # [[tag, Term] …]
        def row_terms(row)
          @roles.each_with_index.flat_map do |role, index|
            field, tag = role.to_s.split(":", 2)
            next [] unless field == "term"

            tag ||= Tbx.language(Languages.named(cell(row, "language").to_s) || cell(row, "language"))
            row[index].to_s.split(APART).map(&:strip).reject(&:empty?).map { |text|
              [tag, term(row, text, tag)]
            }
          end
        end

        def term(row, text, tag)
          said = ->(field) { cell(row, "#{field}:#{tag}") || cell(row, field) }
          status = said["status"].to_s.downcase
          Terms::Term.new(
            text: text.unicode_normalize(:nfc),
            status: Terms::STATUSES.find { |one| status.include?(one) },
            forbidden: said["forbidden"].to_s.match?(YES) || status.match?(/not to be used|forbidden/) || nil,
            recognise: Terms::RECOGNITIONS.find { |one| said["recognise"] == one },
            cased: said["cased"].to_s.match?(YES) || nil,
            part_of_speech: said["part_of_speech"], gender: said["gender"], number: said["number"],
            example: said["example"], note: cell(row, "term_note:#{tag}")
          )
        end

        def cell(row, role)
          index = @roles.index(role) or return
          row[index].to_s.strip.then { |text| text.empty? ? nil : text }
        end
      end
    end
  end
end
