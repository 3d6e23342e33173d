# A piece of work for a client: documents in one language pair. Until begun_at is set it is a brief being
# filled in.
class Project < ApplicationRecord
  include Project::Proposing
  include Project::Counting
  include Project::Templates
  include Project::Terms
  include Project::Spelling
  include Project::Checks

  belongs_to :user
  belongs_to :client, optional: true
  has_many :documents, -> { current.order(:position) }, dependent: nil, inverse_of: :project
  has_many :documents_of_any_role, class_name: "Document", dependent: :destroy, inverse_of: :project
  # Hers to be translated; whole_text: also those that are there to be read only.
  has_many :segments, ->(project) { of_current(project).where(locked: false) }, dependent: nil,
    inverse_of: :project
  has_many :whole_text, ->(project) { of_current(project) }, class_name: "Segment", dependent: nil,
    inverse_of: :project
  has_many :attachments,
    -> { order(:position) },
    class_name: "AttachedMemory",
    dependent: :destroy,
    inverse_of: :project
  has_many :memories, through: :attachments
  # Where it came from and is delivered to, if that is a client's server.
  has_one :server_project, dependent: :destroy, inverse_of: :project
  has_many :deliveries, -> { order(:number) }, dependent: :destroy, inverse_of: :project
  has_many :notes, dependent: :delete_all
  has_many :review_rounds, -> { order(:number) }, dependent: :destroy, inverse_of: :project
  has_many :operations, -> { order(id: :desc) }, as: :subject, dependent: :destroy, inverse_of: :subject

  NEWS_OF_TEXT = %w[segments recut notes].freeze
  # Types that browsers show by themselves.
  SHOWN_BY_BROWSERS = %w[application/pdf image/png image/jpeg image/gif image/webp].freeze
  has_many_attached :reference_files

  validate :languages_are_tags
  before_validation do
    FileNaming.check(file_pattern) if file_pattern.present?
    [*never_used, *never_translated].each { |item| Glossema::Terms::Listed.check(item) }
  end
  scope :begun, -> { where.not(begun_at: nil) }
  scope :unfinished, -> { where(finished_at: nil) }
  scope :deleted, -> { where.not(deleted_at: nil) }

  def begun? = begun_at.present?

  # Is it a brief that is being filled in, with files that were read?
  def briefing? = !begun? && !template? && documents.any?(&:ready?)

  # Newer versions of files that are being compared, or wait to be taken in.
  def versions = documents_of_any_role.select { |document| document.role == "pending" }

  # Words by state: {"untouched" => 120, …}.
  def words_by_state = segments.group(:state).sum(:words)

  # It leaves Today and stays as it is; or it comes back there.
  def finish
    raise Glossema::Refused.new("not-begun") unless begun?

    update!(finished_at: Time.current) unless finished_at
  end

  def reopen = update!(finished_at: nil)

  # Out of sight; for thirty days it can be brought back.
  def move_to_trash
    Operation.cancel_all_of(self)
    transaction do
      update!(deleted_at: Time.current)
      label = name.presence || documents.first&.name || reference.to_s
      TrashItem.note(user, "project", record: self, name: label, place: client&.name)
    end
  end

  # For good, in steps: it may hold much.
  def purge
    Operation.cancel_all_of(self)
    documents_of_any_role.find_each(&:purge)
    operations.find_each(&:purge)
    destroy!
  end

  # Files that would stay out of the work if it began now.
  def unread = documents.reject(&:ready?)

  # Fields of the brief or project changed. While it is a brief, what follows from them is proposed anew, and
  # files whose reading goes by the target language (plural forms and the like) are read again.
  def change(fields, opened: false)
    refuse_past(fields[:due_at]) if fields.key?(:due_at)
    retargeted = fields.key?(:target_lang) && fields[:target_lang] != target_lang
    update!(fields)
    update!(opened_at: Time.current) if opened
    return if begun?

    propose if (fields.keys & %w[client_id source_lang]).any?
    documents.select(&:depends_on_target?).select(&:ready?).each(&:read_later) if retargeted
  end

  # Makes the brief a project. The project's own memory is made now. Raises Glossema::Refused with what is
  # missing, or with the files that would stay out, unless they are known to.
  def begin!(without_unread: false)
    open = still_open
    raise Glossema::Refused.new("brief-open.#{open}") if open
    raise leaves_out if unread.any? && !without_unread

    check_memories

    begun = Time.current
    transaction do
      update!(name: name.presence || documents.find(&:ready?).name,
        reference: reference.presence || next_reference)
      own = user.memories.create!(name: free_memory_name, source_lang: source_lang, target_lang: target_lang)
      attachments.update_all("position = position + 1")
      attachments.create!(memory: own, position: 1, learns: "confirm")
      update!(begun_at: begun, opened_at: begun)
    end
    count_later
  end

  # memories: array of {"memory_id", "learns", "read_only", "penalty"} in order.
  def attach(memories)
    transaction do
      attachments.usable.destroy_all
      memories.each_with_index do |row, index|
        memory = user.access.readable(Memory).present.find(row["memory_id"])
        check_pair(memory)
        mine = user.access.right(memory) != "view"

        attachments.create!(
          memory: memory,
          position: index + 1,
          learns: (mine && row["learns"]) || "never",
          read_only: row["read_only"] || !mine,
          penalty: row["penalty"].to_i.clamp(0, 50)
        )
      end
    end
    attachments.reload
    count_later
  end

  # The memories as the core's lookup takes them; `terms`: matches that differ in a known term are adapted.
  def lookup(terms: false)
    list = attachments.usable.includes(memory: :remote).to_a
    Glossema::Matching::Lookup.new(
      list.map { |attachment| attachment.memory.store(attachment.penalty) },
      terms: terms ? Project::KnownTerms.new(self, list.map(&:memory)) : nil
    )
  end

  # Words confirmed by its user since midnight.
  def words_today = segments.where(confirmed_at: user.zone.now.all_day).sum(:words)

  # All who have it open hear of it, and those who review it here.
  def announce(event, **details)
    ProjectChannel.broadcast_to(self, { event: event, **details })
    return unless NEWS_OF_TEXT.include?(event)

    review_rounds.where(way: "inside").where.not(guest_id: nil, state: "closed").each(&:announce)
  end

  private

  # What is due is due later than now, unless it stands so already.
  def refuse_past(text)
    due = text.presence && Time.zone.parse(text.to_s)
    return if due.nil? || due == due_at || due.future?

    raise Glossema::Refused.new("due-past", time: due.in_time_zone(user.zone).strftime("%-d %B %Y, %H:%M"))
  end

  # What is missing before the work can begin, in a sentence, or nil.
  def still_open
    return "no-file" if documents.none?(&:ready?)
    return "no-target" if target_lang.blank?
    return "no-source" if source_lang.blank?

    "reading" if documents.any?(&:busy?)
  end

  def leaves_out
    reasons = unread.map { |document| document.why_unread.chomp(".") }
    Glossema::Refused.new("leaves-out", count: reasons.size, reasons: reasons.join(" · "))
  end

  # Languages may have changed since a memory was chosen.
  def check_memories = attachments.usable.includes(:memory).each { |row| check_pair(row.memory) }

  def check_pair(memory)
    return if memory.fits?(source_lang, target_lang)

    raise Glossema::Refused.new("pair-wrong.project", **memory.name_and_pair)
  end

  def free_memory_name
    base = reference.presence || name
    (0..)
      .lazy
      .map { |n| n.zero? ? base : "#{base} (#{n + 1})" }
      .find { |name| !user.memories.exists?(name: name) }
  end

  def languages_are_tags
    { source_lang: source_lang, target_lang: target_lang }.each do |field, tag|
      if tag.present? && !Glossema::Languages.valid?(tag)
        errors.add(field, :no_tag, tag: tag)
      end
    end
    if target_lang.present? && target_lang == source_lang
      errors.add(:target_lang, :same_language)
    end
  end
end
