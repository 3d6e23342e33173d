# The counts of a project: which memories it is counted against, and when a report is made by itself.
module Project::Counting
  extend ActiveSupport::Concern

  included do
    has_many :reports, -> { order(id: :desc) }, dependent: :destroy, inverse_of: :project
    has_many :quotes, dependent: :nullify
  end

  # The memories a count of it is against, as a report keeps them; those made with the project or later tell
  # nothing of what was known before.
  def counted_memories
    rows = attachments.usable.includes(:memory).to_a
    rows = rows.select { |row| row.memory.created_at < begun_at } if begun?
    rows.map { |row| { "id" => row.memory_id, "name" => row.memory.name, "penalty" => row.penalty } }
  end

  # [source tag, target tag]; a language nobody named yet is taken for English where numbers are compared.
  def counted_languages
    found = source_lang || documents.select(&:ready?).first&.source_lang
    [found || "en", target_lang || "en"]
  end

  # Tells the state of its files apart: which there are and how they are cut.
  def counted_mark
    ready = documents.select(&:ready?)
    keys = Segment.where(document_id: ready.map(&:id)).order(:document_id, :position).pluck(:source_key)
    Digest::SHA256.hexdigest([ready.map { |document| [document.id, document.name] }, keys].to_json)
  end

  # All segments that count, file by file in their order.
  def counted_segments = documents.select(&:ready?).flat_map { |document| document.segments.reject(&:locked) }

  # Counts in the background; an earlier count that is still going on stops.
  def count_later = Operations::ProjectCount.start(self, by: user, summary: name)

  # Its segments are others now: it is counted once somebody looks at it.
  def count_when_looked_at
    update_columns(count_due: true)
    announce("counted")
  end

  # Somebody looks at it; of two who look at once one makes it count.
  def count_if_due
    return unless count_due

    count_later if self.class.where(id: id, count_due: true).update_all(count_due: false) == 1
  end

  # A project has a report of each state of its files. segments, rows: as they were just counted, see
  # Report#fill.
  def report_when_changed(segments, rows)
    return if kind != "project" || documents.any?(&:busy?) || segments.empty?
    return if Report.exists?(project: self, mark: counted_mark)

    # In one go, so that a killed server leaves no count that never ends.
    value = Report.value_of(self, segments, rows)
    Report.transaction { Report.open_for(self, memories: counted_memories, made: "files").fill(value) }
    announce("report", state: "ready")
  end

  # What accepted quotes say it is worth: [{amount:, currency:} …].
  def worth
    accepted = quotes.select { |quote| quote.state == "accepted" }.map(&:figures)
    accepted.group_by { |figures| figures["currency"] }.map do |currency, list|
      sum = list.sum { |figures| BigDecimal(figures["total"]) }
      rates = Glossema::Counting::Rates.new("currency" => currency, "rate" => "0")
      { amount: rates.money(sum), currency: currency }
    end
  end
end
