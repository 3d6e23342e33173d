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

        (@checks + @own).flat_map { |check| found_by(check, pair) }
      end

      # Names of custom checks that took too long.
      def given_up = @own.select(&:given_up?).map(&:name)

      private

      # A check that fails is told by its name, and takes no other one with it.
      def found_by(check, pair)
        check.findings(pair)
      rescue StandardError => e
        raise if ENV["GLOSSEMA_TRACE"]

        [Finding.build("check-failed", "look", details: { name: check.class.code, reason: e.class.name },
          source: [], target: [])]
      end
    end
  end
end
