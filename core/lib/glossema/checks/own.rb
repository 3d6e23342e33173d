# A check of her own: regular expressions on source and target, with a message and a level.
require "timeout"

module Glossema
  module Checks
    class Own
      SECONDS = 0.05
      # How the two go together: the target must (not) fit where the source does.
      WAYS = %w[must must-not].freeze

      attr_reader :name

      # rule: {"name", "source" (or none: any), "target", "way" (of WAYS, must-not when unset), "message",
      # "level"}. Raises Refused "own-broken.…".
      def initialize(rule)
        raise Refused.new("own-broken.incomplete", name: "?") unless rule.is_a?(Hash)

        @name = rule["name"].to_s
        unless [rule["name"], rule["target"], rule["message"]].all? { |text|
          text.is_a?(String) && text != ""
        }
          raise Refused.new("own-broken.incomplete", name: @name)
        end

        @source, @target = %w[source target].map { |side| pattern(rule[side]) }
        @way, @level = rule.fetch("way", "must-not"), rule.fetch("level", "look")
        unless WAYS.include?(@way) && LEVELS.include?(@level)
          raise Refused.new("own-broken.incomplete", name: @name)
        end

        @message = rule["message"]
      end

      # Took it too long in some text? Then it is switched off for this run.
      def given_up? = @given_up

      def findings(pair)
        return [] if @given_up

        Timeout.timeout(SECONDS) { look(pair) }
      rescue Timeout::Error
        @given_up = true
        []
      end

      private

      def pattern(text)
        Regexp.new(text) if text.is_a?(String) && text != ""
      rescue RegexpError => e
        raise Refused.new("own-broken.pattern", name: @name, pattern: text,
          reason: e.message.split(":").first)
      end

      def look(pair)
        in_source = @source && pair.from.match(@source)
        return [] if @source && !in_source

        in_target = pair.into.match(@target)
        return [] if in_target.nil? == (@way == "must-not")

        [Finding.new(code: "own", level: @level, message: "#{@name}: #{@message}", fix: nil,
          source: in_source ? [in_source.offset(0)] : [], target: in_target ? [in_target.offset(0)] : [])]
      end
    end
  end
end
