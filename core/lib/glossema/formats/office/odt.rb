# ODT (also OTT): body, tables, lists, headers, footers, notes, text boxes, charts, alternative texts and the
# title.
require "glossema/formats/office/odf"

module Glossema
  module Formats
    class Odt < Odf
      Formats.announce(self, rank: 11)

      NAME = "ODT".freeze
      EXTENSIONS = %w[odt ott].freeze
      MEDIA_TYPE = "application/vnd.oasis.opendocument.text".freeze
      BODY = "text".freeze
      DEFAULTS = {
        "headers" => true,
        "comments" => false,
        "hidden" => false,
        "alt_texts" => true,
        "title" => true
      }.freeze

      private

      def read
        walk(body, "content.xml", { where: "body" })
        read_margins if @options["headers"]
      end
    end
  end
end
