# Kinds of errors and how much each weighs: the seven dimensions of MQM Core with their types, as ISO 5060 has
# them, and the severities of MQM with the points that its scoring model gives them (themqm.org).
require "yaml"

module Glossema
  module Review
    module ErrorTypes
      # {kind => its narrower kinds}
      KINDS = {
        "terminology" => %w[wrong-term inconsistent-use against-termbase],
        "accuracy" => %w[mistranslation addition omission untranslated do-not-translate over-translation
                         under-translation],
        "linguistic-conventions" => %w[grammar spelling punctuation unintelligible character-encoding],
        "style" => %w[awkward unidiomatic register inconsistent-style organization-style],
        "locale-conventions" => %w[number-format date-format time-format measurement-format currency-format
                                   address-format telephone-format shortcut-key],
        "audience-appropriateness" => %w[culture-specific-reference],
        "design-and-markup" => %w[markup-tag character-formatting layout text-length link]
      }.freeze
      # {severity => points}
      SEVERITIES = { "neutral" => 0, "minor" => 1, "major" => 5, "critical" => 25 }.freeze

      # A remark as somebody wrote it: how it begins said its kind and severity.
      Read = Struct.new(:type, :severity, :text, keyword_init: true)
      SEPARATED = %r{\s*[,;/·–-]\s*|\s+}
      HEAD = /\A(?<head>[^:.!?\n]{3,60}?)\s*(?::\s*(?<text>.*)|\.?\s*)\z/m

      module_function

      # type: "accuracy" or "accuracy/omission".
      def type?(type)
        kind, narrower = type.to_s.split("/", 2)
        KINDS.key?(kind) && (narrower.nil? || KINDS[kind].include?(narrower))
      end

      # "style, minor: …" or “Stil, gering: …” → Read, nil where it begins otherwise.
      def read(text)
        match = HEAD.match(text.strip) or return
        head = match[:head].downcase
        severity = longest(named_severities, head) or return
        type = longest(named_types, left(head, severity)) or return
        return unless left(left(head, severity), type).gsub(SEPARATED, "").empty?

        Read.new(type: named_types.fetch(type), severity: named_severities.fetch(severity),
          text: match[:text].to_s.strip)
      end

      # {name in any language there is => type}
      def named_types = @named_types ||= own(KINDS.keys).merge(narrower, translated("kinds"))
      def named_severities = @named_severities ||= own(SEVERITIES.keys).merge(translated("severities"))

      def narrower
        KINDS.flat_map { |kind, types| types.map { |type| [type.tr("-", " "), "#{kind}/#{type}"] } }.to_h
      end
      private_class_method :narrower

      def own(keys) = keys.to_h { |key| [key.tr("-", " "), key] }
      private_class_method :own

      def translated(what)
        Instructions.languages.flat_map { |lang| Instructions.names(lang, what).invert.to_a }
          .to_h { |name, key| [name.downcase, key] }
      end
      private_class_method :translated

      def longest(names, head)
        names.keys.select { |name| head.match?(whole(name)) }.max_by(&:size)
      end
      private_class_method :longest

      def left(head, name) = head.sub(whole(name), " ")
      private_class_method :left

      def whole(name) = /(?<!\p{L})#{Regexp.escape(name)}(?!\p{L})/
      private_class_method :whole
    end
  end
end
