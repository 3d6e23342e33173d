# A translation unit. source and target are in the written form; source_hash is that of segments, so that
# repeats and units meet; words are the keys of its words, packed, by which the index compares it.
class TranslationUnit < ApplicationRecord
  belongs_to :memory
  has_many :versions,
    -> { order(:id) },
    class_name: "TranslationUnitVersion",
    foreign_key: :unit_id,
    dependent: nil,
    inverse_of: :unit

  # Nothing would be offered by it, and nothing exported.
  validate { errors.add(:target, :blank) if Segment.empty?(target) }

  KEPT_COLUMNS = %w[
    memory_id segment_id source target author changed_by client subject project file origin key previous_hash
    next_hash codes extra used import_id used_at created_at updated_at
  ].freeze

  # 60 bits of what makes two sources the same.
  def self.hash_of(content) =
    hash_of_key(Segment.key_of(content.is_a?(String) ? Glossema::Content.from_written(content) : content))

  def self.hash_of_key(key) = key && key[0, 15].hex

  # What the index keeps of a source in the written form.
  def self.entry(source) = Glossema::Matching::Grams.entry(Glossema::Content.plain(source))

  def source_content = @source_content ||= Glossema::Content.from_written(source)
  def target_content = Glossema::Content.from_written(target)

  # What is kept of it before a change.
  def kept = attributes.slice(*KEPT_COLUMNS)

  # Changes texts or attributes; what it was is kept. Returns the operation, nil when nothing changes.
  def edit(attributes, by:)
    attributes =
      attributes
        .slice("source", "target", "client", "subject")
        .reject { |name, value| self[name].to_s == value.to_s }
    return if attributes.empty?
    if attributes.values_at("source", "target").any? { |text| text && text.strip.empty? }
      raise Glossema::Refused.new("unit-empty")
    end

    transaction do
      operation = Operations::UnitEdit.record(memory, by: by, summary: source.truncate(60))
      TranslationUnitVersion.create!(unit_id: id, operation_id: operation.id, before: kept)
      Memory::Writer.new(memory).change(
        self,
        **attributes.symbolize_keys,
        changed_by: by&.name,
        updated_at: Time.current
      )
      operation
    end
  end

  def to_pair
    times = {
      "created_at" => created_at.utc.iso8601,
      "updated_at" => updated_at.utc.iso8601,
      "used" => used.to_s
    }
    attributes =
      self
        .attributes
        .slice("author", "changed_by", "client", "subject", "project", "file", "origin", "key")
        .compact
        .reject { |_, value| value == "" }
    beside = { "previous" => previous_hash&.to_s(36), "next" => next_hash&.to_s(36) }.compact
    Glossema::Exchange::Tmx::Pair.new(
      source: source,
      target: target,
      attributes: attributes.merge(beside, times),
      codes: codes,
      extra: extra
    )
  end
end
