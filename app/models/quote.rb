# What a count costs, as it was told to a client: its rates and sums are kept as they were.
class Quote < ApplicationRecord
  STATES = %w[open sent accepted declined].freeze

  belongs_to :user
  belongs_to :report
  belongs_to :project, optional: true
  belongs_to :client, optional: true

  validates :state, inclusion: { in: STATES }
  validates :language, inclusion: { in: I18n.available_locales.map(&:to_s) }
  attr_readonly :number, :rates, :figures, :hours, :report_id

  # Computes and saves a quote. rates: as Glossema::Counting::Rates takes them; shown: the displayed total,
  # which must equal the core's; valid_until: Date or nil; done_at: Time or nil. Raises Refused
  # "report-unready", "sums-differ", or what Rates refuses.
  def self.keep(report, rates:, shown:, valid_until: nil, done_at: nil)
    raise Glossema::Refused.new("report-unready") unless report.state == "ready"

    user, client = report.user, report.client
    known = Glossema::Counting::Rates.new({ "words_per_hour" => user.words_per_hour.to_s }.merge(rates))
    figures = Glossema::Counting::Quote.new(report.value.bands, known).to_h
    total = figures["total"]
    raise Glossema::Refused.new("sums-differ", shown: shown, total: total) if shown != total

    create!(
      user: user,
      report: report,
      project: report.project,
      client: client,
      number: Pattern.new(user.quote_pattern).next(user.quotes.pluck(:number)),
      valid_until: valid_until || (client&.valid_days || DAYS).days.from_now.to_date,
      done_at: done_at,
      hours: user.hours_for(report.value.bands, known.weights).round(2),
      rates: rates,
      figures: figures.merge("bare_total" => bare_total(report, known)),
      letter: letter(user, client)
    )
  end

  # How long a quote holds where nothing else was said.
  DAYS = 30

  # The language that the client reads it in.
  def language = letter["language"] || user.language

  def language=(chosen)
    self.letter = letter.merge("language" => chosen)
  end

  # What each file comes to before rounding and minimum, in the order of the report, as amounts.
  def file_prices
    known = Glossema::Counting::Rates.new({ "words_per_hour" => user.words_per_hour.to_s }.merge(rates))
    report.figures["files"].map do |file|
      lines = Glossema::Counting::Quote.new(file["bands"], known).to_h["lines"]
      known.money(lines.sum { |line| BigDecimal(line["price"]) })
    end
  end

  # What it would cost without any memory.
  def self.bare_total(report, rates)
    Glossema::Counting::Quote.new(report.figures["bare"], rates).to_h["total"]
  end

  def self.letter(user, client)
    {
      "from" => client&.own_address.presence || [user.name, user.address].compact_blank.join("\n"),
      "to" => address_of(client),
      "conditions" => client&.conditions.to_s,
      "language" => client&.language || user.language
    }
  end

  # An address may begin with the name.
  def self.address_of(client)
    return "" unless client

    if client.address.start_with?(client.name)
      client.address
    else
      [client.name,
       client.address].compact_blank.join("\n")
    end
  end
  private_class_method :bare_total, :letter, :address_of
end
