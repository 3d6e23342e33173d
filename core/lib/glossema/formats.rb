# The registry of file formats. A format is a class in a file of its own under formats/<family>/, found by
# being there, with
#   Formats.announce(self, rank:)
#   NAME, EXTENSIONS, MEDIA_TYPE
#   DEFAULTS  its options: {name => true or false, a text, a Choice, or Inner for what only programs set}
#   .recognises?(bytes, name)  by content
#   .read(bytes, name:, options:) → an object answering
#       options      those it was read with
#       units        array of Unit, in reading order
#       source_language  tag the file itself names, or nil
#       write(contents, target_language:) → bytes; contents is {unit id => Content}, units not named keep
#       their source
#       preview(&block) → HTML; the block is given each Unit and answers the HTML that stands in its place
#       untouched(other) → names of parts that should have stayed the same and did not
module Glossema
  # One stretch of text of a document that is translated as a whole (a paragraph, a cell, a value).
  #   id     stable in one file; path is for people ("table 2 · row 1 · column 3"); block is one of
  #          heading-1 … heading-6, title, paragraph, list-item, cell, note, header, footer, text-box,
  #          alt-text,
  #          chart, diagram, property, line
  #   look   the look outside all codes, canonical, for comparing
  #   target, state, alternatives what a bilingual file holds already: Content or nil, a segment state,
  #   [Alternative]
  #   whole  never split into sentences;  extra  exists in the translation only, such as a further plural form
  Unit =
    Struct.new(
      :id,
      :location,
      :block,
      :content,
      :note,
      :limit,
      :key,
      :look,
      :target,
      :state,
      :alternatives,
      :whole,
      :extra,
      keyword_init: true
    ) do
      # The text of its location.
      def path = Location.text(location)

      # When it is shown: a Timing::Cue, or nil for a unit of another format.
      def cue = Timing::Cue.at(location)

      # Is a unit recognized by its formatting, so that its location is not shown?
      def self.speaking?(block) = block.match?(Unit::SPEAKING)
    end
  # Blocks that are known by how they look.
  Unit::SPEAKING = /\A(?:heading|title|paragraph|list-item|line|cue)/
  # Another translation a file offers: source and target are Contents, score is 0…100 or nil, origin a word or
  # nil.
  Alternative = Struct.new(:source, :target, :score, :origin, keyword_init: true)

  module Formats
    MAX_BYTES = 200 * 1024 * 1024

    # A default that is one of several choices.
    Choice = Struct.new(:default, :choices)
    # A default that only programs set.
    Inner = Struct.new(:default)
    LONGEST_OPTION = 20_000

    @ranks = {}

    module_function

    # Does what is read from files of a format depend on the language they are translated into?
    def needs_target?(format) = format::DEFAULTS.key?("target_language")

    # Called by each format in its file. rank: those with a surer sign of what they are are asked first, so
    # that one that takes nearly anything comes last.
    def announce(format, rank:) = @ranks[format] = rank

    # Every format, those first that are asked first.
    def all = @ranks.sort_by { |format, rank| [rank, format.name] }.map(&:first)

    # The format of this NAME, or nil.
    def named(name) = all.find { |format| format::NAME == name }

    # The defaults of a format's options as plain values.
    def defaults(format) = format::DEFAULTS.transform_values { |value| plain(value) }

    # What can be chosen when a file of this format is read: [{"name", "kind" ("switch", "choice", "text"),
    # "default", "choices"}].
    def options_of(format)
      format::DEFAULTS.reject { |_, value| value.is_a?(Inner) }.map do |name, value|
        choices = value.choices if value.is_a?(Choice)
        { "name" => name, "kind" => kind_of(value), "default" => plain(value), "choices" => choices }.compact
      end
    end

    # Of options given, only those the format has, of the kind they are.
    def permitted(format, given)
      options_of(format).each_with_object({}) do |option, permitted|
        value = given[option["name"]]
        permitted[option["name"]] = typed(option, value) unless value.nil?
      end
    end

    # Raises Refused "option-unknown" when there is an option the format does not have. What only programs set
    # is passed over by formats that do not need it.
    def check_options(format, options, name)
      unknown = options.keys - format::DEFAULTS.keys - INNER_NAMES
      return if unknown.empty?

      names = options_of(format).map { |option| option["name"] }
      known = names.empty? ? "none" : names.join(", ")
      details = { name: name, file_format: format::NAME, option: unknown.first, names: known }
      raise Refused.new("option-unknown", **details)
    end

    INNER_NAMES = %w[target_language preset].freeze

    def plain(value) = value.is_a?(Choice) || value.is_a?(Inner) ? value.default : value

    def kind_of(value)
      return "choice" if value.is_a?(Choice)

      [true, false].include?(value) ? "switch" : "text"
    end

    def typed(option, value)
      return [true, "true"].include?(value) if option["kind"] == "switch"

      text = value.to_s[0, LONGEST_OPTION]
      option["kind"] == "text" || option["choices"].include?(text) ? text : option["default"]
    end
    private_class_method :plain, :kind_of, :typed

    # bytes: the file; name: as the user knows it. Returns the format class.
    # Raises Refused "empty", "too-large" or "format-unknown".
    def detect(bytes, name)
      raise Refused.new("empty", name: name) if bytes.empty?
      if bytes.bytesize > MAX_BYTES
        raise Refused.new("too-large", name: name, megabytes: MAX_BYTES / 1024 / 1024)
      end

      bytes = bytes.b
      Container.refuse_locked(bytes, name)
      raise Refused.new("format-unknown.rtf", name: name) if bytes.start_with?("{\\rtf")
      raise Refused.new("format-unknown.pdf", name: name) if bytes.start_with?("%PDF-")

      all.find { |format| format.recognises?(bytes, name) } ||
        raise(
          Refused.new("format-unknown.any", name: name, formats: all.map { |format| format::NAME }.join(", "))
        )
    end
  end
end

# What formats share, in the order in which they build on each other; then the formats, each found by being
# there.
%w[
  pictures container nodes turning runs renewal computed_texts package encoded_text text_file placeholders
  markup marked_file plurals message keyed_file columns cells
].each { |name| require "glossema/formats/shared/#{name}" }
%w[office markup software timed bilingual plain].each do |family|
  Dir[File.join(__dir__, "formats", family, "*.rb")].sort.each { |path| require path }
end
