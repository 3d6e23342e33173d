# A client's file in a project: the original, what was found in it, and its segments.
class Document < ApplicationRecord
  belongs_to :project
  has_many :segments, -> { order(:position) }, dependent: nil, inverse_of: :document
  has_many :delivered_files, dependent: :destroy
  has_one_attached :original
  has_one_attached :page

  STATES = %w[waiting reading ready refused cancelled].freeze
  validates :state, inclusion: { in: STATES }
  validates :by, inclusion: { in: %w[sentence paragraph] }
  before_destroy { Segment.discard(segments) }

  def busy? = %w[waiting reading].include?(state)
  def ready? = state == "ready"

  # Begins again what a restart cut short.
  def self.resume_reading
    where(state: %w[waiting reading]).find_each(&:read_later)
  end

  # Starts the reading job; an older one still running notices that it is not the latest and stops.
  def read_later
    update!(state: "waiting", run: SecureRandom.hex(6), done: 0, message: nil)
    ReadDocumentJob.perform_later(self, run)
  end

  # The core's view of the original. With `as_stored` it is cut just as it was when it was read.
  def opened(as_stored: true)
    Glossema::Document.new(original.download, name: name, language: source_lang || project.source_lang, by: by, options: options, breaks: as_stored ? breaks : nil)
  end

  # Does the text name this? Looks at the first segments only.
  def mentions?(phrase) = segments.limit(400).pluck(:source).any? { |source| source.downcase.include?(phrase.downcase) }

  # Targets of all segments that have one, {key => Content}, for writing.
  def targets
    segments.where.not(target: "").to_h { |segment| [segment.key, segment.target_content] }
  end
end
