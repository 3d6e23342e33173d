# A count of files as a value that never changes: what each holds, and how it splits by what is known of it.
# The bands of a file add up to the file, the files to the whole; `of` raises where they would not.
module Glossema
  module Counting
    class Report
      FIGURES = %w[segments words characters characters_without_spaces codes].freeze
      # How words are split: by what the memories give; the same with likeness inside the files; with no
      # memory at all.
      SPLITS = %w[bands inside bare].freeze

      class << self
        # files: array of {name:, facts: {…} that go along, rows: [[Content, best match or nil, its band with
        # likeness inside where that is worked out already] …]} in order; language_pair: [source tag, target
        # tag].
        def build(files, language_pair)
          rows = files.flat_map { |file| file[:rows] }
          contents = rows.map(&:first)
          bands = Bands.assign(rows)
          splits = [
            bands,
            inside(rows, bands, language_pair),
            Bands.assign(contents.map { |content| [content, nil] })
          ]
          counts = contents.map { |content| Count.count(content) }
          new(figures(files, counts, splits))
        end

        private

        def inside(rows, bands, language_pair)
          known = rows.map { |_, _, band| band }
          known.all? ? known : Likeness.bands(rows.map(&:first), bands, language_pair)
        end

        def figures(files, counts, splits)
          at = 0
          parts =
            files.map do |file|
              range = at...(at += file[:rows].size)
              { "name" => file[:name], **file[:facts].to_h }.merge(
                part(counts[range], splits.map { |split| split[range] })
              )
            end
          { "files" => parts, **part(counts, splits) }
        end

        def part(counts, splits)
          sum = counts.sum(Count.zero)
          {
            **FIGURES.to_h { |figure| [figure, sum[figure]] },
            "by_character" => sum.by_character,
            **SPLITS.zip(splits).to_h { |name, split| [name, Bands.sum(split.zip(counts))] }
          }
        end
      end

      # figures: as to_h gives them. Raises RuntimeError where something does not add up.
      def initialize(figures)
        @figures = figures
        check
      end

      # {"files" => [{"name", …facts, FIGURES, "by_character", SPLITS => {band => {"segments", "words",
      # "characters"}}}], and the same for all}
      def to_h = @figures

      def files = @figures["files"]
      def bands = @figures["bands"]

      private

      def check
        SPLITS.each { |split| Bands::NAMES.each { |band| check_band(split, band) } }
        FIGURES.each do |figure|
          unless files.sum { |file| file[figure] } == @figures[figure]
            raise "the #{figure} of the files do not add up"
          end
        end
      end

      def check_band(split, band)
        %w[segments words characters].each do |figure|
          parts = files.sum { |file| file.dig(split, band, figure) }
          raise "#{band} of the files does not add up" unless parts == @figures.dig(split, band, figure)
        end
      end
    end
  end
end
