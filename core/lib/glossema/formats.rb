# The registry of file formats. A format is a class with
#   NAME, EXTENSIONS, MEDIA_TYPE
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
      :path,
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
    )
  # Another translation a file offers: source and target are Contents, score is 0…100 or nil, origin a word or
  # nil.
  Alternative = Struct.new(:source, :target, :score, :origin, keyword_init: true)

  module Formats
    MAX_BYTES = 200 * 1024 * 1024

    module_function

    def all =
      [
        Docx,
        Pptx,
        Xlsx,
        Odt,
        Ods,
        Odp,
        Epub,
        Xliff,
        TmxFile,
        Html5,
        Android,
        Xml,
        Po,
        Json,
        Yaml,
        Webvtt,
        Subrip,
        Properties,
        AppleStrings,
        Ini,
        Csv,
        Tsv,
        Markdown,
        PlainText
      ]

    # Options that only programs set.
    INNER_OPTIONS = %w[target_language preset].freeze
    CHOICES = {
      "paragraphs" => %w[line blank-line],
      "header" => %w[translate keep],
      "separator" => ["", "comma", "semicolon", "tab", "bar"]
    }.freeze

    # What can be chosen when a file of this format is read: [{"name", "kind" ("switch", "choice", "text"),
    # "default", "choices"}].
    def options_of(format)
      format::DEFAULTS
        .reject { |name, _| INNER_OPTIONS.include?(name) }
        .map do |name, default|
          kind = [true, false].include?(default) ? "switch" : (CHOICES.key?(name) ? "choice" : "text")
          { "name" => name, "kind" => kind, "default" => default, "choices" => CHOICES[name] }.compact
        end
    end

    # bytes: the file; name: as the user knows it. Returns the format class.
    # Raises Refused "empty", "too-large" or "format-unknown".
    def detect(bytes, name)
      raise Refused.new("empty", "#{name} is empty.") if bytes.empty?
      if bytes.bytesize > MAX_BYTES
        raise Refused.new("too-large", "#{name} is larger than #{MAX_BYTES / 1024 / 1024} MB.")
      end

      bytes = bytes.b
      Container.refuse_locked(bytes, name)
      all.find { |format| format.recognises?(bytes, name) } ||
        raise(
          Refused.new(
            "format-unknown",
            "#{name} is not in a format that can be translated here (" \
              "#{all.map { |format| format::NAME }.join(", ")})."
          )
        )
    end
  end
end

require "glossema/formats/container"
require "glossema/formats/nodes"
require "glossema/formats/turning"
require "glossema/formats/runs"
require "glossema/formats/renewal"
require "glossema/formats/computed_texts"
require "glossema/formats/drawing"
require "glossema/formats/package"
require "glossema/formats/ooxml"
require "glossema/formats/encoded_text"
require "glossema/formats/text_file"
require "glossema/formats/placeholders"
require "glossema/formats/markup"
require "glossema/formats/marked_file"
require "glossema/formats/html5"
require "glossema/formats/its"
require "glossema/formats/xml"
require "glossema/formats/xliff"
require "glossema/formats/tmx_file"
require "glossema/formats/plurals"
require "glossema/formats/message"
require "glossema/formats/keyed_file"
require "glossema/formats/android"
require "glossema/formats/json"
require "glossema/formats/yaml"
require "glossema/formats/po"
require "glossema/formats/properties"
require "glossema/formats/apple_strings"
require "glossema/formats/ini"
require "glossema/formats/csv"
require "glossema/formats/subrip"
require "glossema/formats/webvtt"
require "glossema/formats/markdown"
require "glossema/formats/epub"
require "glossema/formats/plain_text"
require "glossema/formats/docx"
require "glossema/formats/pptx"
require "glossema/formats/cells"
require "glossema/formats/xlsx"
require "glossema/formats/odf"
require "glossema/formats/odt"
require "glossema/formats/odp"
require "glossema/formats/ods"
