# A translation memory: units of one language pair.
class Memory < ApplicationRecord
  belongs_to :user
  has_many :units, class_name: "MemoryUnit", dependent: nil, inverse_of: :memory
  has_many :attachments, class_name: "AttachedMemory", dependent: :destroy, inverse_of: :memory

  validates :name, presence: true, uniqueness: { scope: :user_id, message: "is the name of another memory" }
  validate { errors.add(:base, "The languages are not language tags such as en-GB") unless [source_lang, target_lang].all? { |tag| Glossema::Languages.valid?(tag) } }
  before_destroy do
    MemoryPosting.where(memory_id: id).delete_all
    MemoryUnit.where(memory_id: id).delete_all
  end

  # Same languages, whatever the regions.
  def fits?(source, target) = Glossema::Languages.same?(source_lang, source) && Glossema::Languages.same?(target_lang, target)

  # Takes in a confirmed segment: the unit it made before is updated, an identical one is counted as used, else one is made.
  def learn(segment, by:)
    store = MemoryStore.new(self)
    attributes = unit_attributes(segment, by)
    unit = units.find_by(segment_id: segment.id)
    twin = units.where(source_key: segment.source_key, target: segment.target).where.not(id: unit&.id).first
    return twin.update!(used: twin.used + 1) if twin && unit.nil?
    return store.change(unit, segment.source_content, attributes) if unit

    store.add(segment.source_content, { segment_id: segment.id, created_at: Time.current, **attributes })
  end

  # Takes in pairs from an exchange file; the same source and target is never doubled. Returns how many were new.
  def take_in(pairs)
    store = MemoryStore.new(self)
    transaction do
      pairs.count do |pair|
        source = Glossema::Content.from_written(pair.source)
        next false if source.blank? || pair.target.blank? || units.exists?(source_key: Segment.key_of(source), target: pair.target)

        times = pair.attributes.values_at("created_at", "updated_at").map { |time| time && Time.zone.parse(time) }
        store.add(source, { target: pair.target, created_at: times[0] || Time.current, updated_at: times[1] || times[0] || Time.current,
                            origin: pair.attributes["origin"] || "imported", **pair.attributes.slice("author", "client", "subject", "project", "file").symbolize_keys })
      end
    end
  end

  private

  def unit_attributes(segment, by)
    project = segment.project
    { target: segment.target, author: by.name, client: project.client&.name, subject: project.subject, project: project.reference, file: segment.document.name,
      origin: segment.origin["kind"] == "machine" ? "machine" : "typed", updated_at: Time.current,
      previous: segment.neighbour(-1)&.source_key, next: segment.neighbour(1)&.source_key }
  end
end
