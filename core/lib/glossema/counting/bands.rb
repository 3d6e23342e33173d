# Splits a count by what the memories give. The bands of a file add up to the file.
module Glossema
  module Counting
    module Bands
      NAMES = %w[context repetition exact 95-99 85-94 75-84 50-74 new].freeze

      # From which score on a match is in which band.
      FLOORS = { 50 => "50-74", 75 => "75-84", 85 => "85-94", 95 => "95-99" }.freeze

      # Bands that a reader sees together in a bar, what is known best first.
      GROUPS = {
        "known" => %w[context exact],
        "repetition" => %w[repetition],
        "85" => %w[95-99 85-94],
        "50" => %w[75-84 50-74],
        "new" => %w[new]
      }.freeze

      module_function

      # A table of bands as `sum` answers it → the words of each group.
      def grouped(table)
        GROUPS.transform_values { |names| names.sum { |name| table.fetch(name, {}).fetch("words", 0) } }
      end

      # The band of a match score when there is no exact match: 0–99.
      def for_score(score) = FLOORS[FLOORS.keys.reverse.find { |floor| score >= floor }] || "new"

      # segments: array of [content, best match or nil] in order, over the whole counted set. A match answers
      # `kind` and `score`. Returns the band of each, in order. A repetition is a later segment with the same
      # content as an earlier one that no memory gives exactly.
      def assign(segments)
        seen = {}
        segments.map do |content, match|
          earlier = seen[content.written]
          seen[content.written] = true
          next "context" if match && match.kind == "context"
          next "exact" if match && match.kind == "exact"
          next "repetition" if earlier

          match ? for_score(match.score) : "new"
        end
      end

      # rows: array of [band, Count] → {band => {"segments", "words", "characters"}} with every band present.
      # Raises RuntimeError when the bands do not add up to the total, which would be a fault of ours.
      def sum(rows)
        table = NAMES.to_h { |name| [name, { "segments" => 0, "words" => 0, "characters" => 0 }] }
        rows.each do |band, count|
          table[band]["segments"] += 1
          table[band]["words"] += count.words
          table[band]["characters"] += count.characters
        end
        total = rows.sum { |_, count| count.words }
        if table.values.sum { _1["words"] } != total
          raise "bands add up to #{table.values.sum { _1["words"] }} words, not #{total}"
        end

        table
      end
    end
  end
end
