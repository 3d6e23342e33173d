# How long texts may be that somebody types: names short, notes long, and nothing endless. What comes from
# files is bounded by their size.
module BoundedTexts
  extend ActiveSupport::Concern

  # Characters of names, of other lines, of texts, and of lists and settings as JSON.
  NAME, LINE, TEXT, STRUCTURE = 200, 1_000, 20_000, 1 << 20
  NAMES = %w[name reference subject code client project author role email reviser currency number].freeze
  # Rules of segmentation are a file in SRX; a translation is as long as what it translates.
  OTHERWISE = {
    "preferences" => 64 << 10, "rules" => 4 << 20, "summary" => TEXT, "message" => TEXT,
    **%w[source target draft mended before after].index_with(4 << 20)
  }.freeze
  # What is written by the program from a file.
  OF_FILES = %w[
    segments versions translation_units translation_unit_versions detached_translations
    documents operations terms term_entries term_entry_versions
    term_candidates delivered_files alignments
  ].freeze
  KINDS = %i[string text json].freeze

  included { validate :texts_bounded, unless: -> { OF_FILES.include?(self.class.table_name) } }

  private

  def texts_bounded
    changed.each do |name|
      column = self.class.columns_hash[name]
      next unless column && KINDS.include?(column.type)

      most = BoundedTexts.most(column)
      errors.add(name, :too_long, count: most) if length_of(self[name]) > most
    end
  end

  def length_of(value) = value.is_a?(String) ? value.length : value.to_json.length

  class << self
    def most(column)
      return NAME if NAMES.include?(column.name)

      OTHERWISE.fetch(column.name) { { string: LINE, text: TEXT }.fetch(column.type, STRUCTURE) }
    end
  end
end
