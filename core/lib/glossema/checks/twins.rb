# Near twins: sources that are almost alike, beside their translations. Where the sources differ by a word
# and the translations by a whole wording, one of them was forgotten.
module Glossema
  module Checks
    class Twins
      # Sources are near from this score on.
      LEAST = 75
      # Each text is laid beside so many of those before it.
      BESIDE = 3
      # Translations that differ by so many words more than their sources are told as uneven.
      UNEVEN = 2.0

      # id; source, target: Content.
      Row = Struct.new(:id, :source, :target, keyword_init: true)
      # one, other: ids, in text order; score: of the sources; apart: by how many words the translations
      # differ more than the sources; source, target: Matching::Differences (the other's text as the
      # memory's).
      Twin = Struct.new(:one, :other, :score, :apart, :source, :target, keyword_init: true) do
        def uneven? = apart >= UNEVEN
      end

      # rows: [Row …] in text order, all translated; language_pair: [source tag, target tag]. Yields after
      # each row. Returns [Twin …], the most uneven first.
      def self.find(rows, language_pair, &step) = new(rows, language_pair).all(&step)

      def initialize(rows, language_pair)
        @language_pair = language_pair
        @rows = rows.uniq { |row| row.source.written }
        @by_source = @rows.to_h { |row| [row.source.written, row] }
        @pool = Matching::Pool.new(language_pair)
        @lookup = Matching::Lookup.new([@pool])
      end

      def all
        found = @rows.flat_map do |row|
          before = beside(row)
          @pool.add(row.source)
          yield if block_given?
          before
        end
        found.sort_by { |twin| -twin.apart }
      end

      private

      def beside(row)
        query = Matching::Query.new(content: row.source, source_lang: @language_pair[0],
          target_lang: @language_pair[1])
        @lookup.matches(query, threshold: LEAST, limit: BESIDE).filter_map do |match|
          twin(row, @by_source.fetch(match.candidate.source.written))
        end
      end

      # Those that differ in figures alone, in both languages, are as they should be.
      def twin(row, other)
        source = Matching::Score.compare(row.source, other.source)
        target = Matching::Score.compare(row.target, other.target)
        return if source.score < LEAST || (figures?(source) && figures?(target))

        Twin.new(one: other.id, other: row.id, score: source.score, source: source.differences,
          target: target.differences, apart: (target.distance - source.distance).round(2))
      end

      def figures?(comparison)
        comparison.differences.all? do |one|
          [one.source, one.memory].compact.all? { |text| text.match?(/\A[\p{N}\p{P}\p{S}\s]*\z/) }
        end
      end
    end
  end
end
