# The translation of a text that a new cut of its document has no place for. It waits, with its history, until
# the text is cut that way again.
class KeptTranslation < ApplicationRecord
  belongs_to :document

  FIELDS = %w[target state origin marked exempt confirmed_at alternatives version].freeze
  HISTORY = %w[user_id target state origin created_at updated_at].freeze

  # Keeps what there is of these segments.
  def self.keep(document, segments)
    rows = segments.select { |segment| segment.versions.any? || segment.target.present? }
    rows.each do |segment|
      create!(
        document: document,
        unit: segment.unit_id,
        source: segment.source,
        fields: segment.attributes.slice(*FIELDS),
        versions: segment.versions.map { |version| version.attributes.slice(*HISTORY) }
      )
    end
  end

  # The latest that was kept of a text at this place, or nil.
  def self.of(document, unit, source) = where(document: document, unit: unit, source: source).order(:id).last

  # Gives a segment its translation and history again.
  def give(segment)
    segment.update!(fields)
    Version.insert_all!(versions.map { |version| version.merge("segment_id" => segment.id) }) if versions.any?
    destroy!
  end
end
