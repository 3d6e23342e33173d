# A round of review: a sheet that goes out to a reviser and comes back, or a pass inside, see Inside.
class ReviewRound < ApplicationRecord
  include ReviewRound::Inside

  STATES = %w[out back closed].freeze

  belongs_to :project
  belongs_to :user, optional: true
  has_many :corrections, class_name: "ReviewChange", dependent: :delete_all, inverse_of: :review_round
  has_one_attached :sheet
  has_one_attached :returned

  validates :state, inclusion: { in: STATES }
  validates :reviser, presence: true

  # Begins to write a sheet for a reviser with the segments named (ids), or all that have a translation.
  # options: "tracking", "instructions", "terms", "notes": true or false. Returns the operation. Raises
  # Refused "sheet-empty".
  def self.send_out(project, reviser:, by:, options: {}, ids: nil)
    Operations::ReviewSheet.start(project, by: by, summary: reviser.strip,
      input: { "reviser" => reviser, "options" => options, "ids" => ids })
  end

  def next_number = project.review_rounds.where.not(id: nil).maximum(:number).to_i + 1

  # What its changes are marked by in segments.
  def tag = "review-#{id}"

  # What came back, read. Raises Refused "round-decided", and what reading refuses.
  def read_back(bytes, name)
    raise Glossema::Refused.new("round-decided") if corrections.where.not(decision: "open").exists?

    ReviewRound::Reading.new(self, bytes, name)
  end

  # Keeps it: changes to be decided, comments as notes. rows: as Reading#prepare answers them.
  def keep(reading, rows)
    corrections.delete_all
    ReviewChange.insert_all!(rows) if rows.any?
    reading.keep_comments
    update!(state: "back", back_at: Time.current,
      options: options.merge("strange" => reading.strange, "gone" => reading.gone))
  end

  # Decides some changes: "taken", "left" or "open" again. mended: takes the wording with its codes put back.
  # Returns the operation.
  def decide(list, decision, by:, mended: false)
    Operations::ReviewDecision.decide(self, list, decision, by: by, mended: mended)
  end

  # All that was accepted is undone, and everything is to be decided again. Returns the operation.
  def reopen(by:)
    Operations::ReviewDecision.decide(self, corrections.to_a, "open", by: by, finally: "resume")
  end

  # The same, and then the round is deleted.
  def remove(by:)
    return destroy! unless corrections.where(decision: "taken").exists?

    Operations::ReviewDecision.decide(self, corrections.to_a, "open", by: by, finally: "delete")
  end

  # A closed round goes on.
  def resume = update!(state: inside? ? "out" : "back", closed_at: nil)

  # The round is over: what was read and not changed since was found right. Returns how many.
  def close
    transaction do
      update!(state: "closed", closed_at: Time.current)
      left = corrections.where(decision: "open").pluck(:segment_id)
      # Rows that the reviser deleted were not read.
      unread = left + options["gone"].to_a
      sound = project.segments.where(state: "translated", id: found_right.keys).where.not(id: unread)
        .select { |segment| found_right[segment.id] == segment.target }
      Segment.where(id: sound.map(&:id)).update_all("state = 'reviewed', version = version + 1")
      sound.size
    end
  end

  # Terms of the target language in the termbases that checks use.
  def terms
    @terms ||= begin
      ids = project.attached_termbases.usable.where(checks: true).pluck(:termbase_id)
      language = Glossema::Languages.primary(project.target_lang)
      Term.where(termbase_id: ids).where("lang = ? OR lang LIKE ?", language, "#{language}-%").pluck(:text)
        .map { |text| text.delete_suffix("*") }
    end
  end

  private

  # {segment id => its target when it was read}: of a sheet all that went out.
  def found_right
    @found_right ||= if inside?
      passages.read.to_h { |passage| [passage.segment_id, passage.target] }
    else
      base.transform_keys(&:to_i)
    end
  end
end
