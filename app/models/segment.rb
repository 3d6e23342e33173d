# A segment of a document. source and target are in the core's written form; codes belong to the source.
class Segment < ApplicationRecord
  include Segment::Translating

  STATES = %w[untouched draft translated reviewed final].freeze
  # What an origin says: its kind, and of a memory the score, how it matched, the unit.
  ORIGIN = %i[kind score match memory unit touched from].freeze
  UNFINISHED = %w[untouched draft].freeze

  belongs_to :document
  belongs_to :project
  has_one :checked, class_name: "CheckedSegment", dependent: nil, inverse_of: :segment
  has_many :versions, -> { order(:id) }, dependent: :delete_all, inverse_of: :segment

  validates :state, inclusion: { in: STATES }
  validates :state, inclusion: { in: UNFINISHED }, if: -> { Segment.empty?(target) }

  # Confirmed without a translation, as archives of earlier versions may hold them.
  scope :confirmed_empty, lambda {
    where.not(state: UNFINISHED).where("trim(target, ' ' || char(9, 10, 13, 160)) = ''")
  }

  # Of the files of a project as they are now.
  scope :of_current, lambda { |project|
    where(document_id: Document.current.where(project_id: project.id).select(:id))
  }

  # Does a target, as it is written, hold nothing to read?
  def self.empty?(target) = target.match?(/\A[[:space:]]*\z/)

  # What there is to translate: of files that are there, and not only to be read.
  scope :to_translate, -> { joins(:document).where(locked: false, documents: { role: "current" }) }

  # Its times: a Timing::Cue, or nil for what is no subtitle.
  def cue = Glossema::Timing::Cue.at(location)

  # The attributes of a new row for a segment of the core.
  def self.row(document, segment, position, count = Glossema::Counting::Count.count(segment.content))
    {
      document_id: document.id,
      project_id: document.project_id,
      position: position,
      key: segment.id,
      block: segment.unit.block,
      location: segment.unit.location,
      context: segment.unit.key,
      source: segment.content.written,
      source_key: key_of(segment.content),
      codes: segment.content.code_hashes,
      words: count.words,
      characters: count.characters,
      note: segment.unit.note,
      limit: segment.unit.limit,
      **given_translation(segment),
      alternatives:
        segment.unit.alternatives.to_a.map do |one|
          { source: one.source.text, target: one.target.text, score: one.score, origin: "file" }
        end
    }
  end

  # What a bilingual file says of it: an empty translation is none, whatever its state.
  def self.given_translation(segment)
    target = segment.target&.written.to_s
    return { target: "", state: "untouched", origin: {} } if empty?(target)

    { target: target, state: segment.state, origin: { kind: "file" } }
  end
  private_class_method :given_translation

  # Removes segments with their history.
  def self.discard(scope)
    ids = scope.except(:order).select(:id)
    Version.where(segment_id: ids).delete_all
    Segment.where(id: scope.except(:order).pluck(:id)).delete_all
  end

  # The same for many, so that nobody waits.
  def self.discard_in_steps(scope)
    scope.except(:order).ids.each_slice(200) do |ids|
      ShortTransaction.run do
        Version.where(segment_id: ids).delete_all
        Segment.where(id: ids).delete_all
      end
      ShortTransaction.pause
    end
  end

  # What makes two segments repeats of each other.
  def self.key_of(content) = Glossema::Matching::Score.identity(content)

  def source_content =
    @source_content ||= Glossema::Content.parse(source, Glossema::Content.codes_from(codes))

  def target_content = Glossema::Content.parse(target, source_content)

  def unfinished? = UNFINISHED.include?(state)

  # The paragraph, cell or entry it stands in, and which of its segments it is.
  def unit_id = key.rpartition(":").first

  def neighbour(step) = (@neighbours ||= {})[step] ||= document.segments.find_by(position: position + step)

  # What the memories are asked for this segment. before, after: the segments beside it in its document.
  def query(before, after, of: project)
    Glossema::Matching::Query.new(
      content: source_content,
      source_lang: of.source_lang,
      target_lang: of.target_lang,
      client: of.client&.name,
      subject: of.subject,
      previous: TranslationUnit.hash_of_key(before&.source_key),
      next: TranslationUnit.hash_of_key(after&.source_key),
      key: context
    )
  end

  # Of the codes of the source, those the target lacks; and those it has too many of.
  def codes_lost = Glossema::Content::Balance.new(source, target).missing
end
