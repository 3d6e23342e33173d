# The registry of file formats. A format is a class with
#   NAME, EXTENSIONS, MEDIA_TYPE
#   .recognises?(bytes, name)  by content
#   .read(bytes, name:, options:) → an object answering
#       options      those it was read with
#       units        array of Unit, in reading order
#       source_language  tag the file itself names, or nil
#       write(contents, target_language:) → bytes; contents is {unit id => Content}, units not named keep their source
#       preview(&block) → HTML; the block is given each Unit and answers the HTML that stands in its place
#       untouched(other) → names of parts that should have stayed the same and did not
module Glossema
  # One stretch of text of a document that is translated as a whole (a paragraph, a cell, a value).
  #   id     stable in one file; path is for people ("table 2 · row 1 · column 3"); block is one of
  #          heading-1 … heading-6, title, paragraph, list-item, cell, note, header, footer, text-box, alt-text,
  #          chart, diagram, property, line
  #   look   the look outside all codes, canonical, for comparing
  Unit = Struct.new(:id, :path, :block, :content, :note, :limit, :key, :look, keyword_init: true)

  module Formats
    MAX_BYTES = 200 * 1024 * 1024

    module_function

    def all = [Docx, Pptx, Odt, PlainText]

    # bytes: the file; name: as the user knows it. Returns the format class.
    # Raises Refused "empty", "too-large" or "format-unknown".
    def detect(bytes, name)
      raise Refused.new("empty", "#{name} is empty.") if bytes.empty?
      raise Refused.new("too-large", "#{name} is larger than #{MAX_BYTES / 1024 / 1024} MB.") if bytes.bytesize > MAX_BYTES

      bytes = bytes.b
      Container.refuse_locked(bytes, name)
      all.find { |format| format.recognises?(bytes, name) } ||
        raise(Refused.new("format-unknown", "#{name} is not in a format that can be translated here (#{all.map { |format| format::NAME }.join(', ')})."))
    end
  end
end

require "glossema/formats/container"
require "glossema/formats/runs"
require "glossema/formats/drawing"
require "glossema/formats/package"
require "glossema/formats/ooxml"
require "glossema/formats/plain_text"
require "glossema/formats/docx"
require "glossema/formats/pptx"
require "glossema/formats/odt"
