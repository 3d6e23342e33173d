# What a reviser changed and remarked, as a workbook: how much, by kind, severity and file, and the lists.
class ReviewRound::Report
  HEADER = ["File", "Number", "Source", "Before", "After", "Kind", "Words changed", "By", "On", "Decision",
            "Remarks"].freeze
  WIDTHS = [20, 8, 44, 44, 44, 12, 10, 18, 18, 10, 40].freeze
  REMARKS = ["File", "Number", "Source", "Translation", "On", "Kind", "Severity", "Points", "Remark", "By",
             "Answer", "Settled"].freeze
  REMARK_WIDTHS = [20, 8, 44, 44, 20, 24, 10, 8, 44, 18, 44, 12].freeze
  THOUSAND = 1000

  def initialize(round)
    @round, @project = round, round.project
    @rows = round.corrections.includes(segment: :document).sort_by { |row| place(row.segment) }
    @amount = ReviewRound::Amount.of(round)
  end

  def name = "#{[@project.reference, "review", @round.number].compact_blank.join(" ")}.xlsx".tr("/\\", "-")

  def xlsx
    TablesAsWorkbook.new
      .add("Summary", %w[What Value], [40, 40], summary)
      .add("Files", ["File", "Changes", "Words changed", "Edits in characters", "Edit distance in %"],
        [40, 12, 16, 20, 20], files)
      .add("Changes", HEADER, WIDTHS, @rows.map { |row| cells(row) })
      .add("Remarks", REMARKS, REMARK_WIDTHS, remarks).bytes
  end

  private

  # A segment may be gone.
  def place(segment) = segment ? [segment.document.position, segment.position] : [0, 0]

  def cells(row)
    segment = row.segment
    said = @round.remarks_on(segment.id).map { |note| [named(note), note.text].compact_blank.join(": ") }
    [segment.document.name, segment.position, segment.source_content.text,
     *[row.before, row.after].map { |text| Glossema::Content.plain(text) }, row.kind, row.changed_words,
     row.author, row.made_at&.strftime("%Y-%m-%d %H:%M"), row.decision, said.join(" · ")]
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
     note.segment&.target_content&.text, note.spot.to_h["text"], note.error_type, note.severity,
     note.severity && Glossema::Review::Score.points(note.severity), note.text, note.author, note.answer,
     note.settled_at&.strftime("%Y-%m-%d")]
  end

  def named(note) = [note.error_type, note.severity].compact.join(", ")

  def summary
    words, changed, score = @amount.values_at(:words, :changed, :score)
    [
      ["Project", [@project.reference, @project.name].compact_blank.join(" · ")], ["Reviser", @round.reviser],
      ["Segments sent", @amount[:sent]], ["Segments changed", @amount[:segments]], ["Words", words],
      ["Words changed", changed],
      ["Words changed in 1,000", words.zero? ? 0 : (THOUSAND * changed / words.to_f).round(1)],
      ["Edit distance in %", @amount[:distance]["percent"]],
      ["Points of the remarks", score[:points]], ["Points in 1,000 words", score[:per_thousand]],
      *@amount[:kinds].map { |kind, count| ["Changes: #{kind}", count] },
      *weighed("Remarks", score[:kinds]), *weighed("Severity", score[:severities])
    ]
  end

  def weighed(title, table) = table.map { |name, one| ["#{title}: #{name}", one["count"]] }
end
