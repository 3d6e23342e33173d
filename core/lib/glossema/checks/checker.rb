# Runs the checks of a profile over pairs.
module Glossema
  module Checks
    class Checker
      # terms: Terms::Finder pairs, see Vocabulary, or nil; speller: Spelling::Checker with the words of a
      # project, or nil: that of the target language.
      def initialize(profile = Profile.new, terms: nil, speller: nil)
        @checks, @own = profile.checks(terms: terms, speller: speller), profile.own
        @empty = @checks.find { |check| check.is_a?(TargetEmpty) }
      end

      # pair → [Finding …]. Where nothing is translated that alone is said.
      def findings(pair)
        return @empty ? @empty.findings(pair) : [] if pair.untranslated?

        (@checks + @own).flat_map { |check| check.findings(pair) }
      end

      # Names of her own checks that took too long.
      def given_up = @own.select(&:given_up?).map(&:name)
    end
  end
end
