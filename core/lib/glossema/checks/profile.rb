# Which checks run and how bad each is: {"checks" => {code => {"level" => "must-fix" | "look" | "off", further
# parameters}}, "own" => [see Own], "never_used" => [see Terms::Listed], "never_translated" => likewise}.
module Glossema
  module Checks
    class Profile
      OFF = "off".freeze
      LISTS = %w[never_used never_translated].freeze

      # Raises Refused "profile-broken.…" for what is none.
      def initialize(given = {})
        raise Refused.new("profile-broken.no-object") unless given.is_a?(Hash)

        @checks, @own = given.fetch("checks", {}), given.fetch("own", [])
        raise Refused.new("profile-broken.no-object") unless @checks.is_a?(Hash) && @own.is_a?(Array)

        @checks.each { |code, how| check(code, how) }
        @own = @own.map { |rule| Own.new(rule) }
        @lists = LISTS.to_h { |name| [name, listed(given.fetch(name, []))] }
      end

      attr_reader :own

      # The checks that run, made ready.
      def checks(terms: nil, speller: nil)
        Checks.all.filter_map do |kind|
          level = level_of(kind.code) || (kind.off? ? OFF : kind.level)
          next if level == OFF

          kind.new(level: level, parameters: parameters_of(kind.code), terms: terms, lists: @lists,
            speller: speller)
        end
      end

      # {name => number or text} of a check, as it is where it says nothing.
      def parameters_of(code)
        kind = Checks.all.find { |one| one.code == code }
        kind.parameters.merge(@checks.fetch(code, {}).except("level"))
      end

      # What it says of a check: a level, OFF, or nil where it says nothing.
      def level_of(code) = @checks.dig(code, "level")

      private

      # Each must be one that the check has, and of its kind.
      def check_parameters(code, given)
        known = Checks.all.find { |kind| kind.code == code }&.parameters || {}
        given.each do |name, value|
          next if known.key?(name) && (known[name].is_a?(String) ? value.is_a?(String) : value.is_a?(Numeric))

          raise Refused.new("profile-broken.parameter", code: code, name: name)
        end
      end

      def listed(items)
        raise Refused.new("profile-broken.no-object") unless items.is_a?(Array) && items.all?(String)

        items.each { |item| Terms::Listed.check(item) }
      end

      def check(code, how)
        known = Checks.all.any? { |kind| kind.code == code } || Across::CODES.include?(code)
        raise Refused.new("profile-broken.check", code: code) unless known && how.is_a?(Hash)

        check_parameters(code, how.except("level"))
        level = how["level"]
        return if level.nil? || level == OFF || LEVELS.include?(level)

        raise Refused.new("profile-broken.level", code: code, level: level)
      end
    end
  end
end
