# What all checks have in common: what they are called, how bad it is, and how they tell.
module Glossema
  module Checks
    class Check
      MOST = 200

      class << self
        attr_reader :code, :group, :level, :parameters

        # code: a word or two with hyphens; group: as in the brief; level: of LEVELS, as long as a profile
        # says nothing else; off: it runs only where a profile says so; parameters: {name => number or text}
        # that a profile may change.
        def is(code, group:, level:, off: false, parameters: {})
          @code, @group, @level, @off, @parameters = code, group, level, off, parameters
          Checks.all << self
        end

        def off? = @off

        # The demo cases beside the file of the check: {"finds" => [case …], "passes" => [case …]}.
        def cases = YAML.load_file(@file.sub(/\.rb\z/, ".yml"))

        def inherited(check)
          super
          check.instance_variable_set(:@file, caller_locations(1, 1).first.absolute_path)
        end
      end

      # parameters: of a profile, by name; terms: Vocabulary of termbases, or nil; lists: {"never_used" =>
      # items, "never_translated" => items} as Terms::Listed takes them; speller: Spelling::Checker, or nil.
      def initialize(level: self.class.level, parameters: {}, terms: nil, lists: {}, speller: nil)
        @level, @terms, @lists, @speller = level, terms, lists, speller
        @parameters = self.class.parameters.merge(parameters)
      end

      # pair: Pair → [Finding …]
      def findings(_pair) = raise(NotImplementedError)

      private

      # details: what the sentence of the variant names.
      def finding(variant = nil, source: [], target: [], fix: nil, **details)
        key = [self.class.code, variant].compact.join(".")
        Finding.build(self.class.code, @level, key: key, details: details, source: source, target: target,
          fix: fix)
      end

      # Matches of a pattern in a text, so many at most: who has more to mend begins with these.
      def places(text, pattern) = text.enum_for(:scan, pattern).lazy.map { Regexp.last_match }.first(MOST)
    end
  end
end
