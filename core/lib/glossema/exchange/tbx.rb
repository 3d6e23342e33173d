# TBX (ISO 30042), out and in: dialects Core, Min and Basic, data categories as attributes (DCA) or as tags
# (DCT), and the older form whose root is martif. Read entry by entry from a stream, so that size does not
# matter; what we have no place for is kept as XML and goes out again.
module Glossema
  module Exchange
    module Tbx
      STYLES = %w[dca dct martif].freeze
      # Data category → our field, by where it may stand. The first name is the one we write.
      FIELDS = {
        entry: {
          "definition" => :definition, "subjectField" => :subject, "customerSubset" => :client,
          "xGraphic" => :picture, "source" => :source, "note" => :note
        },
        section: { "definition" => :definition, "note" => :note },
        term: {
          "administrativeStatus" => :status, "normativeAuthorization" => :status,
          "partOfSpeech" => :part_of_speech, "grammaticalGender" => :gender, "grammaticalNumber" => :number,
          "context" => :example, "source" => :source,
          "note" => :note, "x-forbidden" => :forbidden, "x-recognise" => :recognise, "x-cased" => :cased
        }
      }.freeze
      # Our field → [data category, element that carries it in DCA, name space of it in DCT].
      WRITTEN = {
        entry: {
          subject: %w[subjectField descrip min], client: %w[customerSubset admin min],
          definition: %w[definition descrip basic], source: %w[source admin basic],
          picture: %w[xGraphic xref basic], note: ["note", nil, nil]
        },
        section: { definition: %w[definition descrip basic], note: ["note", nil, nil] },
        term: {
          status: %w[administrativeStatus termNote min], part_of_speech: %w[partOfSpeech termNote min],
          gender: %w[grammaticalGender termNote basic], number: %w[grammaticalNumber termNote basic],
          example: %w[context descrip basic], source: %w[source admin basic],
          forbidden: %w[x-forbidden termNote gl], recognise: %w[x-recognise termNote gl],
          cased: %w[x-cased termNote gl], note: ["note", nil, nil]
        }
      }.freeze

      module_function

      # Reads from an IO or a string of bytes. Yields each Terms::Entry with how many bytes were read so far.
      # Returns {head: what to give to `write` so that it comes out as it came, read:, faults: [Tmx::Fault]}.
      # Raises Refused "not-tbx", or "damaged" when nothing at all can be read.
      def read(source, name:, &block) = Reader.new(source, name).run(&block)

      # Writes entries (any Enumerable of Terms::Entry) to anything that takes <<. head: of `read`, or
      # {"style" => one of STYLES, "title" => text}.
      def write(io, entries, head = {}) = Writer.new(io, head).run(entries)
    end
  end
end

require "glossema/exchange/tbx/reader"
require "glossema/exchange/tbx/entry_reader"
require "glossema/exchange/tbx/writer"
