# What the checks found in a project as a workbook: findings, what was let stand and why, by whom.
class Project::CheckReport
  include TableWords

  HEADER = %w[file number level kind finding source target].freeze
  WIDTHS = [20, 8, 12, 18, 46, 50, 50].freeze

  def initialize(project)
    @project = project
    @stands, @open = Project::Checking.new(project).findings.partition { |row| row[:stands] }
  end

  def name = "#{[@project.reference, word("names.findings")].compact_blank.join(" ")}.xlsx".tr("/\\", "-")

  def xlsx
    stood = @stands.map { |row| [*cells(row), *cells_of(row[:stands])] }
    TablesAsWorkbook.new
      .add("findings", HEADER, WIDTHS, @open.map { |row| cells(row) })
      .add("stand", [*HEADER, "reason", "by", "for", "on"], [*WIDTHS, 40, 18, 22, 18], stood)
      .add("about", %w[what value], [24, 50], about).bytes
  end

  private

  def cells(row)
    segment = row[:segment]
    [segment.document.name, segment.position, as_shown("check.levels", row["level"]), kind(row),
     row["message"], segment.source_content.text, segment.target_content.text]
  end

  def cells_of(stand) =
    [stand.reason, stand.author, word("place.#{stand.place}"), stand.created_at.strftime("%Y-%m-%d %H:%M")]

  # Custom checks have their own names.
  def kind(row) = I18n.t("interface.check.about.#{row["code"]}", default: row["code"].tr("-", " "))

  def about
    [
      [word("project"), [@project.reference, @project.name].compact_blank.join(" · ")],
      [word("client"), @project.client&.name],
      [word("languages"), [@project.source_lang, @project.target_lang].join(" → ")],
      [word("looked_at"), Time.current.strftime("%Y-%m-%d %H:%M UTC")],
      [word("must_fix"), @open.count { |row| row["level"] == "must-fix" }],
      [word("look"), @open.count { |row| row["level"] == "look" }],
      [word("stand"), @stands.size]
    ]
  end
end
