# A custom check: regular expressions on source and target, with conditions, a message and a level.
module Glossema
  module Checks
    class Own
      SECONDS = 0.05
      # How the two go together where the source fits: the target must (not) fit, or as often as the source.
      WAYS = %w[must-not must as-often].freeze
      NEEDED = %w[name target message].freeze
      # $1 in an expression for the target is what the first group of the source caught.
      CAUGHT = /\$(\d)/

      attr_reader :name

      # rule: {"name", "source" (or none: any), "target", "way" (of WAYS, the first when unset), "case"
      # (false: capitals do not count), "languages" (tags of targets, or none: all), "unless" (an expression
      # on the target that lets it pass), "replace" (what the place in the target becomes; only with
      # must-not), "message", "level" (look when unset)}. Raises Refused "own-broken.…".
      def initialize(rule)
        raise Refused.new("own-broken.incomplete", name: "?") unless rule.is_a?(Hash)

        @rule, @name = rule, rule["name"].to_s
        @way, @level = rule["way"] || WAYS.first, rule["level"] || "look"
        refuse unless whole?
        @source, @unless = %w[source unless].map { |side| pattern(rule[side]) }
        @target = caught? ? nil : pattern(rule["target"])
        pattern(rule["target"].gsub(CAUGHT, "x")) if caught?
      end

      # Took it too long in some text? Then it is switched off for this run.
      def given_up? = @given_up

      def findings(pair)
        return [] if @given_up || !language?(pair.target_lang)

        Timeout.timeout(SECONDS) { look(pair) }
      rescue *Expression::TOO_SLOW
        @given_up = true
        []
      end

      private

      def refuse = raise(Refused.new("own-broken.incomplete", name: @name))

      def whole?
        NEEDED.all? { |field| @rule[field].is_a?(String) && @rule[field] != "" } && WAYS.include?(@way) &&
          LEVELS.include?(@level) && (@rule["languages"].nil? || @rule["languages"].is_a?(Array))
      end

      def caught? = @rule["target"].match?(CAUGHT) && @rule["source"].to_s != ""

      def pattern(text)
        Expression.compile(text,
          @rule["case"] == false ? Regexp::IGNORECASE : 0) if text.is_a?(String) && text != ""
      rescue RegexpError => e
        raise Refused.new("own-broken.pattern", name: @name, pattern: text[0, 200],
          reason: e.message.split(":").first)
      end

      # it is true of it-IT; it-CH of no it-IT.
      def language?(lang)
        wanted = @rule["languages"].to_a
        wanted.empty? || wanted.any? { |tag| lang == tag || lang.start_with?("#{tag}-") }
      end

      def look(pair)
        in_source = all(pair.from, @source)
        return [] if (@source && in_source.empty?) || (@unless && pair.into.match?(@unless))

        in_target = all(pair.into, @target || pattern(filled(in_source.first)))
        return [] if content?(in_source, in_target)

        [finding(pair, in_source, @way == "must" ? [] : in_target)]
      end

      def content?(in_source, in_target)
        case @way
        when "must" then in_target.any?
        when "must-not" then in_target.empty?
        else in_target.size == in_source.size
        end
      end

      def all(text, pattern)
        pattern ? text.enum_for(:scan, pattern).lazy.map { Regexp.last_match }.first(Check::MOST) : []
      end

      def filled(match)
        @rule["target"].gsub(CAUGHT) { |group| Regexp.escape(match[group.delete("$").to_i].to_s) }
      end

      def finding(pair, in_source, in_target)
        source, target = [in_source, in_target].map { |list| list.map { |match| match.offset(0) } }
        Finding.new(code: "own", level: @level, message: "#{@name}: #{@rule["message"]}", source: source,
          target: target, fix: fix(pair, in_target.first))
      end

      def fix(pair, match)
        return unless match && @way == "must-not" && @rule["replace"].is_a?(String)

        pair.mended(*match.offset(0), match[0].sub(match.regexp, @rule["replace"]))
      end
    end
  end
end
