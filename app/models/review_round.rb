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

  # A sheet for a reviser with the segments named (ids), or all that have a translation. options: "tracking",
  # "instructions", "terms", "notes": true or false. Raises Refused "sheet-empty".
  def self.send_out(project, reviser:, by:, options: {}, ids: nil)
    transaction do
      round = project.review_rounds.create!(user: by, reviser: reviser.strip, options: options,
        number: project.review_rounds.maximum(:number).to_i + 1, token: SecureRandom.hex(8))
      round.write_sheet(ids)
      round
    end
  end

  def write_sheet(ids)
    writer = ReviewRound::Sheet.new(self, ids)
    update!(base: writer.base)
    sheet.attach(io: StringIO.new(writer.bytes), filename: writer.name, identify: false)
  end

  # What its acts are taken back by.
  def tag = "review-#{id}"

  # Takes in what came back: changes to be decided, comments as notes. Returns what was strange about it, see
  # Reading. Raises Refused "round-decided", and what reading refuses.
  def take_in(bytes, name)
    raise Glossema::Refused.new("round-decided") if corrections.where.not(decision: "open").exists?

    reading = ReviewRound::Reading.new(self, bytes, name)
    transaction do
      corrections.delete_all
      reading.keep
      update!(state: "back", back_at: Time.current)
      returned.attach(io: StringIO.new(bytes), filename: name, identify: false)
    end
    reading.strange
  end

  # Decides some changes: "taken", "left" or "open" again. mended: takes the wording with its codes put back.
  # Returns the segments that read otherwise now.
  def decide(list, decision, by:, mended: false)
    transaction { list.filter_map { |change| change.decide(decision, by: by, mended: mended) } }
  end

  # All that was taken is taken back, and everything is to be decided again.
  def reopen(by:)
    transaction do
      project.take_back(tag, by: by)
      corrections.update_all(decision: "open")
      resume
    end
  end

  # A closed round goes on.
  def resume = update!(state: inside? ? "out" : "back", closed_at: nil)

  # The round is over: what was read and not changed since was found right. Returns how many.
  def close
    transaction do
      update!(state: "closed", closed_at: Time.current)
      left = corrections.where(decision: "open").select(:segment_id)
      sound = project.segments.where(state: "translated", id: found_right.keys).where.not(id: left)
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
