# A translation memory: units of one language pair.
class Memory < ApplicationRecord
  include Travelling
  include Learning
  include Indexing
  include Bulk
  include Moving
  include Trashing
  include Shareable

  belongs_to :user, optional: true
  has_many :units, class_name: "TranslationUnit", dependent: nil, inverse_of: :memory
  has_many :operations, as: :subject, dependent: nil, inverse_of: :subject
  has_many :attachments, class_name: "AttachedMemory", dependent: :destroy, inverse_of: :memory

  scope :present, -> { where(deleted_at: nil) }
  validates :name,
    presence: true,
    uniqueness: {
      scope: :user_id,
      conditions: -> { present },
      message: :other_memory
    }
  validate do
    unless [source_lang, target_lang].all? { |tag| Glossema::Languages.valid?(tag) }
      errors.add(:base, :no_tags)
    end
  end

  # How many units.
  def size = remote ? remote.facts["size"] : units.count

  # What is looked up in, as the core’s lookup takes it; penalty: points off its matches.
  def store(penalty = 0) = (remote ? RemoteSource::Store : Memory::Store).new(self, penalty)

  # Same languages, whatever the regions.
  def fits?(source, target) =
    Glossema::Languages.same?(source_lang, source) && Glossema::Languages.same?(target_lang, target)

  def name_and_pair = { name: name, source_lang: source_lang, target_lang: target_lang }
end
