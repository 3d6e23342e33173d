# A term of an entry, laid out for search. It is written anew with its entry and holds nothing of its own.
class Term < ApplicationRecord
  belongs_to :entry, class_name: "TermEntry", foreign_key: :term_entry_id, inverse_of: :terms

  # Rows to insert for the terms of an entry.
  def self.rows(record)
    record.entry.sections.flat_map do |section|
      section.terms.map do |term|
        {
          term_entry_id: record.id, termbase_id: record.termbase_id, lang: section.lang, text: term.text,
          folded: Glossema::Terms::Alike.fold(term.written), status: term.status,
          forbidden: term.forbidden || false
        }
      end
    end
  end
end
