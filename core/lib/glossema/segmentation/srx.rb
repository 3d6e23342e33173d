# Segmentation rules as SRX 2.0: reading a file, and the rules that hold for a language.
module Glossema
  module Segmentation
    # One rule: breaks? says whether it sets or forbids a break; before and after are ICU patterns as written.
    Rule = Struct.new(:breaks, :before, :after, :before_pattern, :after_pattern, keyword_init: true) do
      def self.build(breaks, before, after)
        ruby_before, ruby_after = Icu.to_ruby(before), Icu.to_ruby(after)
        new(breaks: breaks, before: before, after: after, before_pattern: /(?:#{ruby_before})\z/, after_pattern: /\G(?:#{ruby_after})/)
      end

      # Every place in the text where this rule alone would break.
      def candidates(text)
        @finder ||= /(?:#{before_pattern.source.delete_suffix('\z')})(?=#{after_pattern.source.delete_prefix('\G')})/
        found, from = [], 0
        while from <= text.length && (match = @finder.match(text, from))
          found << match.end(0)
          from = match.begin(0) + 1
        end
        found
      end

      def holds?(text, position, window)
        after_pattern.match?(text, position) && before_pattern.match?(window)
      end
    end

    # A set of rules by language. Immutable once read.
    class Srx
      DEFAULT = File.join(ROOT, "data/srx/default.srx")

      # xml: the text of an SRX 2.0 file. Raises Refused "rules-broken" when it is not one.
      def initialize(xml)
        document = Nokogiri::XML(xml) { |config| config.strict.nonet }
        document.remove_namespaces!
        raise Refused.new("rules-broken", "The rules are not an SRX file.") unless document.root&.name == "srx"

        @cascade = document.at_xpath("//header/@cascade")&.value == "yes"
        @maps = document.xpath("//maprules//languagemap").map { |map| [/\A(?:#{Icu.to_ruby(map['languagepattern'])})\z/, map["languagerulename"]] }
        @rules = document.xpath("//languagerules/languagerule").to_h { |group| [group["languagerulename"], read(group)] }
      rescue Nokogiri::XML::SyntaxError => e
        raise Refused.new("rules-broken", "The rules are not well-formed XML: #{e.message}.")
      end

      def self.default = @default ||= new(File.read(DEFAULT, encoding: "UTF-8"))

      # The rules for a language tag in the order they are tried.
      def rules_for(language)
        names = @maps.select { |pattern, _| pattern.match?(language.to_s) }.map(&:last)
        names = names.first(1) unless @cascade
        names.flat_map { |name| @rules.fetch(name, []) }
      end

      private

      def read(group)
        group.xpath("rule").map do |rule|
          Rule.build(rule["break"] != "no", rule.at_xpath("beforebreak")&.text.to_s, rule.at_xpath("afterbreak")&.text.to_s)
        end
      end
    end
  end
end
