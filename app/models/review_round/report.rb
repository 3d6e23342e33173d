# What a reviser changed and remarked, as a workbook: how much, by kind, severity and file, and the lists.
class ReviewRound::Report
  include TableWords

  HEADER = %w[file number source before after kind words_changed by on decision remarks].freeze
  WIDTHS = [20, 8, 44, 44, 44, 12, 10, 18, 18, 10, 40].freeze
  REMARKS = %w[file number source translation on kind severity points remark by answer settled].freeze
  REMARK_WIDTHS = [20, 8, 44, 44, 20, 24, 10, 8, 44, 18, 44, 12].freeze
  THOUSAND = 1000

  def initialize(round)
    @round, @project = round, round.project
    @rows = round.corrections.includes(segment: :document).sort_by { |row| place(row.segment) }
    @amount = ReviewRound::Amount.measure(round)
  end

  def name
    "#{[@project.reference, word("names.review"), @round.number].compact_blank.join(" ")}.xlsx".tr("/\\", "-")
  end

  def xlsx
    TablesAsWorkbook.new
      .add("summary", %w[what value], [40, 40], summary)
      .add("files", %w[file changes words_changed edits distance], [40, 12, 16, 20, 20], files)
      .add("changes", HEADER, WIDTHS, @rows.map { |row| cells(row) })
      .add("remarks", REMARKS, REMARK_WIDTHS, remarks).bytes
  end

  private

  # A segment may be gone.
  def place(segment) = segment ? [segment.document.position, segment.position] : [0, 0]

  def cells(row)
    segment = row.segment
    said = @round.remarks_on(segment.id).map { |note| [named(note), note.text].compact_blank.join(": ") }
    [segment.document.name, segment.position, segment.source_content.text,
     Glossema::Content.plain(row.before), Glossema::Content.plain(row.after),
     as_shown("review.kinds", row.kind), row.changed_words,
     row.author, row.made_at&.strftime("%Y-%m-%d %H:%M"),
     as_shown("review.decided", row.decision), said.join(" · ")]
  end

  def files
    @amount[:files].map do |file|
      [file[:name], file[:changes], file[:words], *file[:distance].values_at("edits", "percent")]
    end
  end

  def remarks
    list = @round.remarks.includes(:document, segment: :document).sort_by { |note| place(note.segment) }
    list.map { |note| remark(note) }
  end

  def remark(note)
    [note.document&.name, note.segment&.position, Glossema::Content.plain(note.source.to_s),
     note.segment&.target_content&.text, note.spot.to_h["text"], type(note),
     as_shown("severities", note.severity),
     note.severity && Glossema::Review::Score.points(note.severity), note.text, note.author, note.answer,
     note.settled_at&.strftime("%Y-%m-%d")]
  end

  def named(note) = [type(note), as_shown("severities", note.severity)].compact.join(", ")
  # The narrowest kind says it.
  def type(note) = as_shown("errorTypes", note.error_type&.split("/")&.last)

  def summary
    words, changed, score = @amount.values_at(:words, :changed, :score)
    [
      [word("project"), [@project.reference, @project.name].compact_blank.join(" · ")],
      [word("reviser"), @round.reviser],
      [word("segments_sent"), @amount[:sent]],
      [word("segments_changed"), @amount[:segments]], [word("words"), words],
      [word("words_changed"), changed],
      [word("per_thousand"), words.zero? ? 0 : (THOUSAND * changed / words.to_f).round(1)],
      [word("distance"), @amount[:distance]["percent"]],
      [word("points_of_remarks"), score[:points]], [word("points_per_thousand"), score[:per_thousand]],
      *@amount[:kinds].map { |kind, count| [counted("changes", as_shown("review.kinds", kind)), count] },
      *weighed("remarks", "errorTypes", score[:kinds]), *weighed("severity", "severities", score[:severities])
    ]
  end

  def weighed(title, texts, table) =
    table.map { |name, one| [counted(title, as_shown(texts, name)), one["count"]] }

  def counted(title, name) = word("counted_of", what: word(title), name: name)
end
