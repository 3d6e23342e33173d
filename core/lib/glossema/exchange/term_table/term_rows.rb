# Lays entries out as rows of a table that TermTable reads again: the first terms of all languages in the
# first row of an entry, their synonyms in further rows with the same id.
module Glossema
  module Exchange
    class TermTable
      class TermRows
        CONCEPT = %w[id subject client definition note source picture].freeze
        # Field → what its heading says after the language.
        LOCAL = {
          "status" => "status", "forbidden" => "forbidden", "recognise" => "recognised", "cased" => "case",
          "part_of_speech" => "part of speech", "gender" => "gender", "number" => "plural",
          "example" => "example", "note" => "note"
        }.freeze

        def initialize(entries)
          @entries = entries.to_a
          @tags = @entries.flat_map { |entry| entry.sections.map(&:lang) }.uniq
          # Columns that no term fills are left out.
          @local =
            @tags.to_h do |tag|
              terms = @entries.flat_map { |entry| terms(entry, tag) }
              [tag, LOCAL.keys.select { |field| terms.any? { |term| term.public_send(field) } }]
            end
        end

        def rows
          [headings, *@entries.each_with_index.flat_map { |entry, index| entry_rows(entry, index + 1) }]
        end

        private

        def headings =
          CONCEPT + @tags.flat_map { |tag| [tag, *@local[tag].map { |field| "#{tag}: #{LOCAL[field]}" }] }

        def terms(entry, tag) = entry.sections.select { |one| one.lang == tag }.flat_map(&:terms)

        def entry_rows(entry, number)
          columns = @tags.map { |tag| terms(entry, tag) }
          (0...columns.map(&:size).max.to_i).map do |at|
            said = if at.zero?
              CONCEPT.drop(1).map { |field|
                entry.public_send(field).to_s
              }
            else
              [""] * (CONCEPT.size - 1)
            end
            [(entry.id || number).to_s, *said, *@tags.zip(columns).flat_map { |tag, own|
              cells(tag, own[at])
            }]
          end
        end

        def cells(tag, term)
          [term&.text.to_s, *@local[tag].map { |field| value(term&.public_send(field)) }]
        end

        def value(said) = said == true ? "yes" : said.to_s
      end
    end
  end
end
