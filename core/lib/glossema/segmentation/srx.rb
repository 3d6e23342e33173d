# Segmentation rules as SRX 2.0: reading a file, and the rules that hold for a language.
module Glossema
  module Segmentation
    # One rule: breaks? says whether it sets or forbids a break; before and after are ICU patterns as written.
    Rule =
      Struct.new(:breaks, :before, :after, :before_pattern, :after_pattern, keyword_init: true) do
        def self.build(breaks, before, after)
          ruby_before, ruby_after = Icu.to_ruby(before), Icu.to_ruby(after)
          new(
            breaks: breaks,
            before: before,
            after: after,
            before_pattern: /(?:#{ruby_before})\z/,
            after_pattern: /(?:#{ruby_after})/
          )
        end

        ABBREVIATIONS = /\A\\b\(\?:([^()\[\]{}*+?|^$]+(?:\|[^()\[\]{}*+?|^$]+)*)\)\\\.\z/

        # The words of a rule that only lists abbreviations, nil for others.
        def words
          list = before[ABBREVIATIONS, 1] unless breaks
          return nil if list.nil? || list.gsub("\\.", "").match?(/[\\\s]/)

          list.split("|").map { |word| word.gsub("\\.", ".") }
        end

        # Plain values: {"break", "before", "after", "words"}.
        def to_h = { "break" => breaks, "before" => before, "after" => after, "words" => words }

        # The pattern of a list of abbreviations.
        def self.abbreviations(words) =
          "\\b(?:" \
            "#{words.map { |word|
              word.strip.delete_suffix(".").gsub(".", '\\.')
            }.reject(&:empty?).join("|")})\\."

        # Every place in the text where this rule alone would break.
        def candidates(text)
          before.start_with?("^") ? candidates_by_what_follows(text) : candidates_by_both(text)
        end

        # A pattern that begins where the text begins would swallow all places but the last.
        def candidates_by_what_follows(text)
          @follower ||= /(?=#{after_pattern.source})/
          places = [].tap { |found| text.scan(@follower) { found << Regexp.last_match.begin(0) } }
          places.select { |place| before_pattern.match?(text[0...place]) }
        end

        def candidates_by_both(text)
          @finder ||=
            /(?:#{before_pattern.source.delete_suffix('\z')})(?=#{after_pattern.source})/
          found, from = [], 0
          while from <= text.length && (match = @finder.match(text, from))
            found << match.end(0)
            from = match.begin(0) + 1
          end
          found
        end

        # scanner: a StringScanner at the place; window: the text before it.
        def holds?(scanner, window)
          return false unless scanner.match?(after_pattern)

          before_pattern.match?(reach < window.length ? window[-reach..] : window)
        end

        private

        # How far back it looks: not beyond its longest word.
        def reach = @reach ||= (words&.map(&:length)&.max || Segmenter::WINDOW) + 2
      end

    # A set of rules by language. Immutable once read.
    class Srx
      DEFAULT = File.join(ROOT, "data/srx/default.srx")

      # xml: the text of an SRX 2.0 file. Raises Refused "rules-broken" when it is not one.
      def initialize(xml)
        @xml = xml
        document = Nokogiri.XML(xml) { |config| config.strict.nonet }
        document.remove_namespaces!
        unless document.root&.name == "srx"
          raise Refused.new("rules-broken.not-srx")
        end

        @cascade = document.at_xpath("//header/@cascade")&.value == "yes"
        @maps =
          document
            .xpath("//maprules//languagemap")
            .map do |map|
              [
                /\A(?:#{Icu.to_ruby(map["languagepattern"])})\z/,
                map["languagerulename"],
                map["languagepattern"].to_s
              ]
            end
        @rules =
          document
            .xpath("//languagerules/languagerule")
            .to_h { |group| [group["languagerulename"], read(group)] }
      rescue Nokogiri::XML::SyntaxError => e
        raise Refused.new("rules-broken.srx-xml", place: Refusals.place(e))
      end

      # groups: array of {"name", "pattern", "rules" => [{"break", "before", "after", "words"}]}, as to_h
      # gives them. Returns an Srx; raises Refused "rule-broken" with the rule that cannot be read.
      def self.from_h(groups)
        builder =
          Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
            xml.srx("xmlns" => "http://www.lisa.org/srx20", "version" => "2.0") do
              xml.header("segmentsubflows" => "yes", "cascade" => "yes") do
                %w[start end isolated].each do |kind|
                  xml.formathandle("type" => kind, "include" => kind == "end" ? "yes" : "no")
                end
              end
              xml.body do
                xml.languagerules do
                  groups.each do |group|
                    xml.languagerule("languagerulename" => group["name"]) do
                      group["rules"].each { |rule| write_rule(xml, rule) }
                    end
                  end
                end
                xml.maprules do
                  groups.each do |group|
                    xml.languagemap(
                      "languagepattern" => group["pattern"],
                      "languagerulename" => group["name"]
                    )
                  end
                end
              end
            end
          end
        new(builder.to_xml)
      end

      def self.write_rule(xml, rule)
        before = rule["words"] ? Rule.abbreviations(rule["words"]) : rule["before"].to_s
        xml.rule("break" => rule["break"] ? "yes" : "no") do
          xml.beforebreak(before)
          xml.afterbreak(rule["after"].to_s)
        end
      end
      private_class_method :write_rule

      # The same rules with an exception at the top of those for a language: never split after this text.
      def excepting(language, text)
        groups = to_h
        group = groups.find { |one| /\A(?:#{Icu.to_ruby(one["pattern"])})\z/.match?(language) }
        raise Refused.new("language-unknown.rules", language: language) unless group

        before =
          "#{'\\b' if text.match?(/\A[[:alnum:]]/)}#{text.gsub(/[\\.\[\](){}*+?|^$]/) { |char| "\\#{char}" }}"
        group["rules"].unshift({ "break" => false, "before" => before, "after" => "\\s" })
        self.class.from_h(groups)
      end

      # Groups of rules by language, in the order they are tried: see from_h.
      def to_h
        @maps.map do |_, name, pattern|
          { "name" => name, "pattern" => pattern, "rules" => @rules.fetch(name, []).map(&:to_h) }
        end
      end

      attr_reader :xml

      def self.default = @default ||= new(File.read(DEFAULT, encoding: "UTF-8"))

      # The rules for a language tag in the order they are tried.
      def rules_for(language)
        names = @maps.select { |pattern, *| pattern.match?(language.to_s) }.map { |map| map[1] }
        names = names.first(1) unless @cascade
        names.flat_map { |name| @rules.fetch(name, []) }
      end

      private

      def read(group)
        group
          .xpath("rule")
          .map do |rule|
            Rule.build(
              rule["break"] != "no",
              rule.at_xpath("beforebreak")&.text.to_s,
              rule.at_xpath("afterbreak")&.text.to_s
            )
          end
      end
    end
  end
end
