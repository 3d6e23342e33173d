# What a reviser changed, as a workbook: how much, by kind and by file, and the list before and after.
class ReviewRound::Report
  HEADER = ["File", "Number", "Source", "Before", "After", "Kind", "Words changed", "By", "On",
            "Decision"].freeze
  WIDTHS = [20, 8, 44, 44, 44, 12, 10, 18, 18, 10].freeze
  THOUSAND = 1000

  def initialize(round)
    @round, @project = round, round.project
    @rows = round.corrections.includes(segment: :document).sort_by { |row| place(row) }
    @amount = ReviewRound::Amount.of(round)
  end

  def name = "#{[@project.reference, "review", @round.number].compact_blank.join(" ")}.xlsx".tr("/\\", "-")

  def xlsx
    TablesAsWorkbook.new
      .add("Summary", %w[What Value], [32, 40], summary)
      .add("Changes", HEADER, WIDTHS, @rows.map { |row| cells(row) }).bytes
  end

  private

  def place(row) = [row.segment.document.position, row.segment.position]

  def cells(row)
    segment = row.segment
    [segment.document.name, segment.position, segment.source_content.text,
     *[row.before, row.after].map { |text| Glossema::Content.plain(text) }, row.kind, row.changed_words,
     row.author, row.made_at&.strftime("%Y-%m-%d %H:%M"), row.decision]
  end

  def summary
    words, changed = @amount.values_at(:words, :changed)
    [
      ["Project", [@project.reference, @project.name].compact_blank.join(" · ")], ["Reviser", @round.reviser],
      ["Segments sent", @amount[:sent]], ["Segments changed", @amount[:segments]], ["Words", words],
      ["Words changed", changed],
      ["Words changed in 1,000", words.zero? ? 0 : (THOUSAND * changed / words.to_f).round(1)],
      *@amount[:kinds].map { |kind, count| ["Changes: #{kind}", count] },
      *@amount[:files].map { |file| ["Words changed in #{file[:name]}", file[:words]] }
    ]
  end
end
