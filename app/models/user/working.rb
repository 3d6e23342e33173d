# When a translator works and how fast: days and hours, the pace by match band as measured from confirmations,
# and when work that begins now is done.
module User::Working
  extend ActiveSupport::Concern
  # The number of latest confirmations that are evaluated.
  LOOKED_AT = 20_000
  TIME = /\A([01]\d|2[0-3]):[0-5]\d\z/

  included do
    validates :words_per_hour, numericality: { only_integer: true, in: 20..5000 }
    validates :remind_at, format: { with: TIME, message: :clock }
    validates :time_zone, inclusion: { in: ->(_) { TZInfo::Timezone.all_identifiers }, message: :unknown }
    # Raises Refused "hours-wrong" or "pattern-wrong".
    before_validation do
      self.working = working.to_h.stringify_keys.slice("days", "from", "to")
      work_time
      Pattern.check(reference_pattern)
      Pattern.check(quote_pattern)
    end
  end

  def work_time
    days, from, to = working.values_at("days", "from", "to")
    Glossema::Counting::WorkTime.new(days: Array(days), from: from, to: to)
  end

  def zone = ActiveSupport::TimeZone[time_zone] || Time.zone

  # {band => words an hour} of the bands seen often enough.
  def pace = @pace ||= Glossema::Counting::Pace.measure(confirmations)

  # Hours that a count takes the user. bands: {band => {"words"}}; weights: {band => number}.
  def hours_for(bands, weights) = Glossema::Counting::Pace.hours(bands, weights, words_per_hour, pace)

  # So many working days from now, in the afternoon.
  def days_from_now(days, hour: 16)
    time = zone.now.change(hour: hour)
    days.times do
      time += 1.day
      time += 1.day until working["days"].include?(time.wday)
    end
    time
  end

  private

  # [seconds, band, words] of the user's confirmations, in order of time.
  def confirmations
    rows =
      Version
        .joins(:segment)
        .where(user_id: id, state: %w[translated reviewed final])
        .order(id: :desc)
        .limit(LOOKED_AT)
        .pluck("versions.created_at", "versions.origin", "segments.words")
    rows.reverse.map { |at, origin, words| [at.to_f, band_of(origin.to_h), words] }
  end

  def band_of(origin)
    case origin["kind"]
    when "repeated" then "repetition"
    when "memory" then memory_band(origin["score"].to_i)
    else "new"
    end
  end

  def memory_band(score) = score >= 100 ? "exact" : Glossema::Counting::Bands.for_score(score)
end
