# A reviser's remark: a note of a round, on a segment or on words in it, by kind and severity of the error.
module Note::Remark
  extend ActiveSupport::Concern

  SIDES = %w[source target].freeze

  included do
    belongs_to :review_round, optional: true
    scope :remarks, -> { there.where(kind: "remark") }
    with_options if: -> { kind == "remark" } do
      validates :severity, inclusion: { in: Glossema::Review::ErrorTypes::SEVERITIES.keys }
      validate { errors.add(:error_type, :inclusion) unless Glossema::Review::ErrorTypes.type?(error_type) }
    end
  end

  class_methods do
    # fields: "text", "error_type", "severity", "spot". Raises RecordInvalid.
    def remark(round, segment, fields, by:)
      create!(**fields.symbolize_keys.slice(:error_type, :severity), kind: "remark", review_round: round,
        text: fields["text"].to_s.strip, spot: spot_of(fields["spot"]), user: by,
        author: by.name, **standing_on(segment))
    end

    # What came with a sheet: a remark where it begins with kind and severity, else a note.
    def from_sheet(round, segment, text, author:)
      read = Glossema::Review::ErrorTypes.read(text)
      said = if read
        { kind: "remark", error_type: read.type, severity: read.severity,
          text: read.text }
      else
        { text: text }
      end
      create!(**said, review_round: round, **standing_on(segment), author: author)
    end

    # {"side", "from", "to", "text"}: letters of the plain text of one side; nil for the whole segment.
    def spot_of(given)
      return unless given && SIDES.include?(given["side"]) && given["text"].present?

      { "side" => given["side"], "from" => given["from"].to_i, "to" => given["to"].to_i,
        "text" => given["text"].to_s }
    end

    private

    def standing_on(segment)
      { project: segment.project, document: segment.document, segment: segment, source: segment.source,
        unit: segment.unit_id }
    end
  end
end
