# The translation of a text that a new cut of its document has no place for. It waits, with its history, until
# the text is cut that way again.
class DetachedTranslation < ApplicationRecord
  belongs_to :document

  FIELDS = %w[target state origin marked exempt confirmed_at alternatives version].freeze
  HISTORY = %w[user_id target state origin created_at updated_at].freeze

  # The attributes of rows that keep what there is of these segments.
  def self.rows(document, segments)
    worth = segments.select { |segment| segment.versions.any? || segment.target.present? }
    worth.map do |segment|
      { document_id: document.id, unit: segment.unit_id, source: segment.source,
        fields: segment.attributes.slice(*FIELDS),
        versions: segment.versions.map { |version| version.attributes.slice(*HISTORY) } }
    end
  end

  # The latest that was kept of a text at this place, or nil.
  # except: ids of those that were given already.
  def self.find_for(document, unit, source, except: [])
    where(document: document, unit: unit, source: source).where.not(id: except).order(:id).last
  end

  # Gives a segment its translation and history again. Whoever asks deletes it then.
  def give(segment)
    segment.update!(fields)
    Version.insert_all!(versions.map { |version| version.merge("segment_id" => segment.id) }) if versions.any?
  end
end
