# TSV: as CSV, with tabs.
require "glossema/formats/bilingual/csv"

module Glossema
  module Formats
    class Tsv < Csv
      Formats.announce(self, rank: 71)

      NAME = "TSV".freeze
      EXTENSIONS = %w[tsv tab].freeze
      MEDIA_TYPE = "text/tab-separated-values".freeze
      DEFAULTS = Csv::DEFAULTS.merge("separator" => Choice.new("tab", SEPARATORS)).freeze

      private

      # In many a quote is a sign like any other.
      def quoting? = false
    end
  end
end
