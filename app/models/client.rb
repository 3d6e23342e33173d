# A client of a translator, with the defaults for new projects. The code is part of references.
class Client < ApplicationRecord
  LISTS = %i[subjects never_used never_translated].freeze
  MEMORY_FIELDS = %w[memory_id learns read_only penalty].freeze
  # So many services of machine translation are asked for a proposal at most.
  MOST_SHOWN = 3
  LOGO_BYTES = 2 << 20
  LOGO_TYPES = %w[image/png image/jpeg image/webp].freeze

  belongs_to :user
  has_many :projects, dependent: :nullify
  has_many :rate_cards, dependent: :destroy
  has_many :reports, dependent: :nullify
  has_many :quotes, dependent: :nullify
  has_many :servers, class_name: "ClientServer", dependent: :destroy, inverse_of: :client
  has_one_attached :logo

  scope :present, -> { where(deleted_at: nil) }
  validates :name, presence: true, uniqueness: { scope: :user_id, message: :client_already }
  validates :valid_days, numericality: { only_integer: true, in: 1..365 }
  validates :machine_shown, numericality: { only_integer: true, in: 1..MOST_SHOWN }
  validates :on_open, inclusion: { in: User::Preferences::ON_OPEN }, allow_nil: true
  validates :language, inclusion: { in: I18n.available_locales.map(&:to_s) }, allow_nil: true
  validate :memories_are_hers, :termbases_are_hers
  before_validation do
    self.on_open = on_open.presence
    self.language = language.presence
    self.code = code.presence || name.to_s.scan(/\p{L}+/).map { |word| word.first(3).upcase }.first || "PRJ"
    LISTS.each { |list| self[list] = Array(self[list]).map { |text| text.to_s.strip }.compact_blank.uniq }
    [*never_used, *never_translated].each { |item| Glossema::Terms::Listed.check(item) }
    self.machine_order = checked_order
    Pattern.check(reference_pattern) if reference_pattern.present?
    FileNaming.check(file_pattern) if file_pattern.present?
  end

  # Out of sight; projects keep it, and for thirty days it can be brought back.
  def move_to_trash
    transaction do
      update!(deleted_at: Time.current)
      TrashItem.note(user, "client", record: self, name: name)
    end
  end

  # The numbers of the services that are asked first for a pair, whatever its regions.
  def machine_order_of(source, target) =
    machine_order.fetch([source, target].map { |tag| Glossema::Languages.primary(tag) }.join(">"), [])

  # The memories that new projects of a pair get, as rows for Project#attach.
  def memories_for(source, target)
    found = user.access.readable(Memory).present.where(id: memories.pluck("memory_id")).index_by(&:id)
    memories.select { |row| found[row["memory_id"]]&.fits?(source, target) }
  end

  # The termbases that new projects get, as rows for Project#attach_termbases.
  def termbases_there
    there = user.access.readable(Termbase).present.where(id: termbases.pluck("termbase_id")).pluck(:id)
    termbases.select { |row| there.include?(row["termbase_id"]) }
  end

  # Keeps for the client what a project is set to.
  def keep_from(project)
    rows = project.attachments.usable.reject { |row| row.learns == "confirm" }
    elsewhere = memories - memories_for(project.source_lang, project.target_lang)
    update!(
      memories: elsewhere + rows.map { |row| row.attributes.slice(*MEMORY_FIELDS) },
      termbases: project.termbase_rows(project),
      subjects: subjects | [project.subject].compact_blank,
      never_used: project.never_used,
      never_translated: project.never_translated,
      file_pattern: project.file_pattern,
      rules: project.rules || rules
    )
  end

  # file: an uploaded picture. Raises Refused "logo-wrong".
  def take_logo(file)
    if file.size > LOGO_BYTES || LOGO_TYPES.exclude?(Marcel::MimeType.for(file.tempfile))
      raise Glossema::Refused.new("logo-wrong", name: file.original_filename)
    end

    logo.attach(file)
  end

  private

  # The client's services, each once, by pair.
  def checked_order
    own = user.machine_services.ids
    machine_order.to_h.transform_values { |ids| Array(ids).map(&:to_i).uniq & own }.compact_blank
  end

  def memories_are_hers
    self.memories =
      Array(memories).map do |row|
        row = row.to_h.stringify_keys.slice(*MEMORY_FIELDS)
        row.merge("memory_id" => row["memory_id"].to_i, "penalty" => row["penalty"].to_i.clamp(0, 50))
      end
    known = AttachedMemory::LEARNS
    return if memories.all? { |row|
      known.include?(row["learns"]) && user.access.readable(Memory).exists?(row["memory_id"])
    }

    errors.add(:base, :memory_gone)
  end

  def termbases_are_hers
    flags = Project::Terms::FIELDS - ["termbase_id"]
    self.termbases =
      Array(termbases).map do |row|
        row = row.to_h.stringify_keys
        { "termbase_id" => row["termbase_id"].to_i,
          **flags.to_h { |flag| [flag, ActiveModel::Type::Boolean.new.cast(row[flag]) || false] } }
      end
    return if termbases.all? { |row| user.access.readable(Termbase).exists?(row["termbase_id"]) }

    errors.add(:base, :termbase_gone)
  end
end
