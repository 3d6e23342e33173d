# What is only seen across a text: one source with several targets, one target for several sources.
module Glossema
  module Checks
    class Across
      CODES = %w[source-two-targets target-two-sources].freeze
      # One segment of a text: id; number, as it is told; source, target: texts.
      Row = Struct.new(:id, :number, :source, :target, keyword_init: true)
      # Texts of so few letters are the same by chance.
      LEAST = 4

      # rows: [Row …] in text order, all translated → {id => [Finding …]}
      def self.findings(rows) = new(rows).findings

      def initialize(rows)
        @rows = rows.select do |row|
          [row.source, row.target].all? { |text| text.scan(/\p{L}/).size >= LEAST }
        end
      end

      def findings
        found = Hash.new { |all, id| all[id] = [] }
        note(found, "source-two-targets", :source, :target)
        note(found, "target-two-sources", :target, :source)
        found
      end

      private

      # Those that share one side are told where the other side reads otherwise.
      def note(found, code, shared, differs)
        @rows.group_by { |row| row[shared] }.each_value do |rows|
          next if rows.map { |row| fold(row[differs]) }.uniq.size < 2

          rows.each do |row|
            other = rows.find { |one| fold(one[differs]) != fold(row[differs]) }
            message = Checks.sentence(code, number: other.number, text: other[differs])
            found[row.id] << Finding.new(code: code, level: "look", message: message, source: [], target: [])
          end
        end
      end

      # Case at the beginning and marks at the end make no other text.
      def fold(text) = text.strip.downcase.sub(/[.:;,!?…]+\z/, "")
    end
  end
end
