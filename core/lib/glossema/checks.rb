# Quality checks: small classes, each of which looks for one kind of error and marks its place. A check is a
# file in a group's folder, with its example cases.
require "yaml"

module Glossema
  module Checks
    # Surely wrong, and worth a look.
    LEVELS = %w[must-fix look].freeze
    # What a check found in a pair. code: of the check; level: of LEVELS; source, target: spans [[from, to] …]
    # in the texts, code points; fix: the target (written form) that mends it for certain, or nil; other: the
    # id of the row it names, of those that are seen across a text only. key, details: what its sentence is
    # made of; nil where the message is in the user's own words.
    Finding = Struct.new(:code, :level, :message, :source, :target, :fix, :other, :key, :details,
      keyword_init: true) do
      # source, target, fix, other: as above. Told in the language asked for when it is made.
      def self.build(code, level, key: code, details: {}, **places)
        new(code: code, level: level, key: key, details: details, message: Checks.sentence(key, **details),
          **places)
      end
    end

    module_function

    # Sentences of findings in a language, by code and variant: {"number" => {"missing" => "…"}}.
    def sentences(language = "en")
      (@sentences ||= {})[language] ||=
        YAML.load_file(File.join(ROOT, "data/checks/#{language}.yml")).fetch(language)
    end

    # Answers in which language findings are told; an application may put its own in.
    def language=(asked)
      @language = asked
    end

    # key: "code" or "code.variant"; details: what the sentence names.
    def sentence(key, **details)
      format(sentences(@language ? @language.call : "en").dig(*key.split(".")), details)
    end

    # The message of a finding that was kept as {"key", "details", "message"}, in the language asked for now.
    def message_of(kept)
      key, details = kept.values_at("key", "details")
      key ? sentence(key, **details.transform_keys(&:to_sym)) : kept["message"]
    end

    # All checks there are, in order of their groups.
    def all = @all ||= []
  end
end

%w[pair check placeholders number_words clock_time quantities vocabulary own profile checker across
   twins].each { |name|
  require "glossema/checks/#{name}"
}
%w[completeness numbers codes links marks spaces letters terms consistency length timed
   spelling].each do |group|
  Dir[File.join(__dir__, "checks", group, "*.rb")].sort.each { |path| require path }
end
