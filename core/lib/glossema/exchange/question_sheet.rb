# Questions to a client as a sheet to be answered in: a row for each, told by its number wherever it stands.
require "yaml"

module Glossema
  module Exchange
    class QuestionSheet
      # id: by which an answer finds its question; place: where the text stands; answer: the one there is.
      Question = Struct.new(:id, :place, :source, :target, :text, :answer, keyword_init: true)
      ANSWER = 5
      WIDTHS = [6, 12, 22, 22, 19, 19].freeze
      NUMBER = /\AQ\s*(\d{1,15})\z/i
      # {language => {"headings", "introduction"}}
      TEXTS = YAML.load_file(File.join(ROOT, "data/questions.yml")).freeze

      class << self
        # {id => answer} of a sheet that came back, DOCX or a table. Raises Refused "no-answers" for a file
        # that is no such sheet, and what reading it refuses.
        def answers(bytes, name)
          rows = rows_of(bytes, name)
          found = rows.filter_map { |row| row[0].to_s.strip.match(NUMBER) && [row[0][/\d+/].to_i, row] }
          raise Refused.new("no-answers", name: name) if found.empty?

          found.to_h { |id, row| [id, row[ANSWER].to_s.strip] }
        end

        private

        def rows_of(bytes, name)
          format = Formats.detect(bytes, name)
          return WordTable.rows(bytes, name) if format == Formats::Docx

          file = format.read(bytes, name: name, options: {})
          raise Refused.new("no-answers", name: name) unless file.respond_to?(:first_rows)

          file.first_rows(TermTable::ROWS)
        end
      end

      # questions: [Question …]. It speaks the source language, which is its reader's, else English.
      def initialize(questions, title:, source_lang:, target_lang:)
        @questions, @title, @langs = questions, title, [source_lang, target_lang]
      end

      def rows
        [texts["headings"], *@questions.map { |one|
          ["Q#{one.id}", one.place, one.source, one.target, one.text, one.answer]
        }]
      end

      def docx
        columns = texts["headings"].zip(WIDTHS, [nil, nil, *@langs, nil, nil]).map do |heading, share, lang|
          WordTable::Column.new(heading: heading, share: share, lang: lang)
        end
        WordTable.new(title: @title, paragraphs: [texts["introduction"]], columns: columns,
          rows: rows.drop(1)).bytes
      end

      private

      def texts = TEXTS[@langs.first.to_s[/\A\w+/]] || TEXTS["en"]
    end
  end
end
