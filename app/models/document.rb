# A client's file in a project: the original, what was found in it, and its segments.
class Document < ApplicationRecord
  include Document::Cutting
  include Document::Replacing
  include Document::Timed
  include Document::Retiming

  belongs_to :project
  has_many :segments, -> { order(:position) }, dependent: nil, inverse_of: :document
  has_many :delivered_files, dependent: :destroy
  has_many :detached_translations, dependent: :delete_all
  has_one_attached :original
  has_one_attached :page

  # Names come with uploads, packages and from servers of clients.
  normalizes :name, with: ->(name) { UploadName.clean(name) }

  STATES = %w[waiting reading ready refused cancelled].freeze
  validates :state, inclusion: { in: STATES }
  validates :by, inclusion: { in: %w[sentence paragraph] }
  ROLES = %w[current pending replaced deleted staged].freeze
  validates :role, inclusion: { in: ROLES }
  scope :current, -> { where(role: "current") }
  before_destroy { Segment.discard(segments) }

  def busy? = %w[waiting reading].include?(state)

  # Those that wait to be read and that no operation reads, as those of an earlier version, are read.
  def self.resume
    where(state: %w[waiting reading], role: "current").find_each do |document|
      document.read_later unless document.reading_operations.under_way.exists?
    end
  end

  # A refusal names its file; other reasons do not.
  def why_unread
    message.to_s.include?(name) ? message : [name, message].compact_blank.join(": ")
  end

  def ready? = state == "ready"

  # Another file of the project with the same bytes, before this one; or nil.
  def twin
    return if checksum.blank?

    project.documents.find { |other| other.checksum == checksum && other.position < position }
  end

  # Takes the file out of its project; it can be brought back. noted: as an operation that is undone from
  # Activity.
  def move_to_trash(by:, noted: true)
    transaction do
      update!(role: "deleted", state: busy? ? "cancelled" : state)
      TrashItem.note(by, "document", record: self, name: name, place: project.name)
      note(Operations::FileRemoval, by) if noted && project.begun?
    end
    project.reload.propose if project.briefing?
    reading_operations.under_way.each(&:cancel)
    project.announce("recut")
  end

  # Those that read it.
  def reading_operations
    Operation.where(kind: "file_reading", subject: project).where("json_extract(input, '$.document_id') = ?",
      id)
  end

  def bring_back
    return unless role == "deleted"

    update!(role: "current")
    TrashItem.where(kind: "document", record_id: id, restored_at: nil).update_all(restored_at: Time.current)
    project.announce("recut")
    project.count_later
  end

  # Records a change of this file among the operations of its project.
  def note(kind, by, result: {}, before: {})
    kind.record(project, by: by, summary: name, result: result, before: before.merge("document_id" => id))
  end

  # Begins to read it; a reading that is still going on stops.
  def read_later
    reading_operations.under_way.each(&:cancel)
    update!(state: "waiting", done: 0, message: nil)
    Operations::FileReading.start(project, by: project.user, summary: name, input: { "document_id" => id })
  end

  def cancel_reading
    update!(state: "cancelled", message: I18n.t("background.cancelled")) if busy?
    reading_operations.under_way.each(&:cancel)
  end

  def discard_segments = Segment.discard_in_steps(Segment.where(document_id: id))

  # Of options given, only those the format has, of the kind they are.
  def known_options(given)
    known_format = Glossema::Formats.named(format)
    known_format ? Glossema::Formats.permitted(known_format, given) : {}
  end

  # The core's view of the original. With `as_stored` it is cut just as it was when it was read. operation:
  # that it is part of: reading is broken off when that is cancelled.
  def opened(as_stored: true, rules: nil, operation: nil)
    bytes, how = original.download, reading_options(as_stored, rules)
    read = -> { Glossema::Document.new(bytes, **how) }
    operation ? operation.interruptible(&read) : read.call
  end

  def reading_options(as_stored, rules)
    {
      name: name,
      language: source_lang || project.chosen_source_lang,
      otherwise: project.source_lang,
      by: by,
      rules: rules || Rules.new(project).srx,
      hand: hand,
      options: options.merge("target_language" => project.target_lang.to_s),
      breaks: as_stored ? breaks : nil
    }
  end

  # The language that the file says or its text looks like, where that is not the project’s; else nil.
  def unlike_its_project
    into = project.source_lang or return
    languages = Glossema::Languages
    [source_lang, facts["looks"]].compact.find { |tag| !languages.could_be?(languages.primary(tag), into) }
  end

  # Does what is read from the file depend on the language it is translated into?
  def depends_on_target?
    known_format = Glossema::Formats.named(format)
    known_format ? Glossema::Formats.needs_target?(known_format) : false
  end

  # Does the text name this? Looks at the first segments only.
  def mentions?(phrase) =
    segments.limit(400).pluck(:source).any? { |source| source.downcase.include?(phrase.downcase) }

  # What the counts of its segments say of the file as a whole.
  def facts_of(counts)
    sum = counts.sum(Glossema::Counting::Count.zero)
    {
      "words" => sum.words,
      "characters" => sum.characters,
      "characters_without_spaces" => sum.characters_without_spaces,
      "segments" => sum.segments,
      "codes" => sum.codes,
      "by_character" => sum.by_character
    }
  end

  # Was it read by another version of the readers? Then it may be read again.
  def outdated? = ready? && reader_version != Glossema::READER_VERSION

  # Keeps the page that the file looks like, and answers it.
  def keep_page(opened)
    html =
      opened.preview do |segment|
        id, text = Glossema::Html.escape(segment.id), Glossema::Html.render(segment.content)
        "<span data-segment=\"#{id}\">#{text}</span>"
      end
    page.attach(io: StringIO.new(html), filename: "page.html", content_type: "text/html", identify: false)
    html
  end
end
