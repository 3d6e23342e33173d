# Which checks run and how bad each is: {"checks" => {code => {"level" => "must-fix" | "look" | "off", further
# parameters}}, "own" => [see Own]}.
module Glossema
  module Checks
    class Profile
      OFF = "off".freeze

      # Raises Refused "profile-broken.…" for what is none.
      def initialize(given = {})
        raise Refused.new("profile-broken.no-object") unless given.is_a?(Hash)

        @checks, @own = given.fetch("checks", {}), given.fetch("own", [])
        raise Refused.new("profile-broken.no-object") unless @checks.is_a?(Hash) && @own.is_a?(Array)

        @checks.each { |code, how| check(code, how) }
        @own = @own.map { |rule| Own.new(rule) }
      end

      attr_reader :own

      # The checks that run, made ready.
      def checks(terms: nil)
        Checks.all.filter_map do |kind|
          how = @checks.fetch(kind.code, {})
          level = how["level"] || (kind.off? ? OFF : kind.level)
          kind.new(level: level, parameters: how.except("level"), terms: terms) unless level == OFF
        end
      end

      private

      def check(code, how)
        known = Checks.all.any? { |kind| kind.code == code }
        raise Refused.new("profile-broken.check", code: code) unless known && how.is_a?(Hash)

        level = how["level"]
        return if level.nil? || level == OFF || LEVELS.include?(level)

        raise Refused.new("profile-broken.level", code: code, level: level)
      end
    end
  end
end
