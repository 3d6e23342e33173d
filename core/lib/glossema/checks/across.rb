# What is only seen across a text: one source with several targets, one target for several sources, a term
# put in several ways.
module Glossema
  module Checks
    class Across
      CODES = %w[source-two-targets target-two-sources term-mixed].freeze
      LEVEL = "look".freeze
      # One segment of a text: id; number, as it is told; source, target: texts; terms: [Vocabulary::Use …],
      # or none.
      Row = Struct.new(:id, :number, :source, :target, :terms, :apart, keyword_init: true)
      # Texts of so few letters are the same by chance.
      LEAST = 4

      # rows: [Row …] in text order, all translated; profile: Profile → {id => [Finding …]}; a finding's
      # other is the id of the row that it names.
      def self.findings(rows, profile = Profile.new) = new(rows, profile).findings

      def initialize(rows, profile)
        @rows, @profile = rows, profile
        @long = rows.select do |row|
          !row.apart && [row.source, row.target].all? { |text| text.scan(/\p{L}/).size >= LEAST }
        end
      end

      def findings
        @found = Hash.new { |all, id| all[id] = [] }
        compare("source-two-targets", :source, :target)
        compare("target-two-sources", :target, :source)
        mixed_terms
        @found
      end

      private

      # level: where none is told by the profile, LEVEL; nil where the check is off.
      def level(code)
        chosen = @profile.level_of(code) || LEVEL
        chosen unless chosen == Profile::OFF
      end

      def note(code, row, other, source: [], **details)
        @found[row.id] << Finding.build(code, level(code), details: { number: other.number, **details },
          source: source, target: [], other: other.id)
      end

      # Those that share one side are told where the other side reads otherwise.
      def compare(code, shared, differs)
        return unless level(code)

        @long.group_by { |row| row[shared] }.each_value do |rows|
          next if rows.map { |row| fold(row[differs]) }.uniq.size < 2

          rows.each do |row|
            other = rows.find { |one| fold(one[differs]) != fold(row[differs]) }
            note(code, row, other, text: other[differs])
          end
        end
      end

      # Case, white space, where a word may be divided and marks at the end make no other text.
      def fold(text)
        text.delete("\u00AD\u200B").gsub(/[[:space:]]+/, " ").strip.downcase.sub(
          /(?<![.:;,!?…])[.:;,!?…]+\z/, ""
        )
      end

      # The way a term is put most often is taken as meant; the others are told of it.
      def mixed_terms
        return unless level("term-mixed")

        uses = @rows.flat_map { |row| row.terms.to_a.map { |use| [row, use] } }
        uses.group_by { |_, use| use.entry }.each_value do |own|
          by_way = own.group_by { |_, use| use.target }
          next if by_way.size < 2

          usual = by_way.values.max_by(&:size)
          (own - usual).each { |row, use| tell_mixed(row, use, *usual.first) }
        end
      end

      def tell_mixed(row, use, other, usual)
        note("term-mixed", row, other, source: [use.span], term: use.source, here: use.target,
          there: usual.target)
      end
    end
  end
end
