# The catalogue of everything Glossema refuses: a file per language, each code with its sentence, or with a
# sentence for each of its variants. The core brings its own English; an application may put its own
# translator in, with catalogues beside.
require "yaml"

module Glossema
  module Refusals
    FOLDER = File.join(ROOT, "data/refusals")

    class << self
      # Answers (key, details) with a sentence; key is "code" or "code.variant", details are what it names.
      attr_writer :translator

      # Raises KeyError when the catalogue has no such sentence, or when it names what details do not give.
      def sentence(key, details) = translator.call("refusals.#{key}", details)

      # What a proof found; key: of the difference, details: what its sentence names.
      def difference(key, details) = translator.call("proof.#{key}", details)

      # A part of a sentence, such as where in a file something is.
      def phrase(key, **details) = translator.call("phrases.#{key}", details)

      # Where a parser found a fault, as the end of a sentence; parsers' own words are for programmers.
      def place(error)
        line = error.respond_to?(:line) ? error.line : error.message.scrub[/\bline (\d+)/, 1]
        line.to_i.positive? ? phrase("near-line", line: line) : ""
      end

      # All of the core's own, {"refusals" => {code => sentence or {variant => sentence}}, "phrases" => …,
      # "proof" => …}.
      def catalogue = @catalogue ||= YAML.load_file(File.join(FOLDER, "en.yml")).fetch("en")

      private

      def translator = @translator ||= method(:english)

      def english(key, details)
        format(catalogue.dig(*key.split(".")) || raise(KeyError, "no sentence for #{key}"), details)
      end
    end
  end
end
