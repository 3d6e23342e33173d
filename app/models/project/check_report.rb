# What the checks found in a project as a workbook: findings, what was let stand and why, by whom.
class Project::CheckReport
  HEADER = ["File", "Number", "Level", "Kind", "Finding", "Source", "Target"].freeze
  WIDTHS = [20, 8, 12, 18, 46, 50, 50].freeze
  PLACES = { "here" => "this place", "project" => "all alike in the project",
             "client" => "all alike for the client" }.freeze

  def initialize(project)
    @project = project
    @stands, @open = Project::Checking.new(project).findings.partition { |row| row[:stands] }
  end

  def name = "#{[@project.reference, "findings"].compact_blank.join(" ")}.xlsx".tr("/\\", "-")

  def xlsx
    stood = @stands.map { |row| [*cells(row), *cells_of(row[:stands])] }
    TablesAsWorkbook.new
      .add("Findings", HEADER, WIDTHS, @open.map { |row| cells(row) })
      .add("Let stand", [*HEADER, "Reason", "By", "For", "On"], [*WIDTHS, 40, 18, 22, 18], stood)
      .add("About", %w[What Value], [24, 50], about).bytes
  end

  private

  def cells(row)
    segment = row[:segment]
    [segment.document.name, segment.position, row["level"] == "must-fix" ? "must fix" : "have a look",
     row["code"].tr("-", " "), row["message"], segment.source_content.text, segment.target_content.text]
  end

  def cells_of(stand) =
    [stand.reason, stand.author, PLACES.fetch(stand.place), stand.created_at.strftime("%Y-%m-%d %H:%M")]

  def about
    [
      ["Project", [@project.reference, @project.name].compact_blank.join(" · ")],
      ["Client", @project.client&.name],
      ["Languages", [@project.source_lang, @project.target_lang].join(" → ")],
      ["Looked at", Time.current.strftime("%Y-%m-%d %H:%M UTC")],
      ["Must fix", @open.count { |row| row["level"] == "must-fix" }],
      ["Have a look", @open.count { |row| row["level"] == "look" }],
      ["Let stand", @stands.size]
    ]
  end
end
