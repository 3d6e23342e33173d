# A note on a segment or a file, by anyone; or a question to the client, with the answer. It stays when the
# text is cut anew or replaced: then it goes to the segment that holds the same text, or stands in its place.
class Note < ApplicationRecord
  include Note::Remark

  KINDS = %w[note question remark].freeze

  belongs_to :project
  belongs_to :document, optional: true
  belongs_to :segment, optional: true
  belongs_to :user, optional: true

  scope :there, -> { where(deleted_at: nil) }
  scope :questions, -> { there.where(kind: "question") }
  validates :kind, inclusion: { in: KINDS }
  validates :text, presence: true, unless: -> { kind == "remark" }

  class << self
    # on: a Segment or a Document.
    # by: a User, or nil for somebody without an account, called author.
    def add(on, text, by:, kind: "note", author: by&.name)
      segment = on if on.is_a?(Segment)
      create!(project: on.project, document: segment ? segment.document : on, segment: segment, user: by,
        author: author, kind: kind, text: text.strip, source: segment&.source, unit: segment&.unit_id)
    end

    # The notes of one version of a file go to another.
    def move(from, to)
      where(document: from).update_all(document_id: to.id, segment_id: nil)
      find_place_again(to)
    end

    # Notes whose segment went find the one with the same text, the nearest to their place first; else the
    # first of their paragraph.
    def find_place_again(document)
      homeless = where(document: document, segment: nil).where.not(source: nil).to_a
      return if homeless.empty?

      segments = document.segments.reload.to_a
      by_text, by_unit = segments.group_by(&:source), segments.group_by(&:unit_id)
      homeless.each do |note|
        same = by_text[note.source].to_a
        home = same.find { |one| one.unit_id == note.unit } || same.first || by_unit[note.unit]&.first
        note.update!(segment: home) if home
      end
    end
  end

  def answer_with(text, by:)
    given = text.strip
    update!(answer: given, answered_by: given.presence && by, answered_at: given.presence && Time.current)
  end
end
