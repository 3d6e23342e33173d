# Certain fixes put in: one, or all of a kind, as an act that is taken back in one step.
class Project::Fixing
  KIND = "fixes".freeze

  def self.tag(act) = "fixed-#{act.id}"
  def self.undo(act, by:) = act.project.take_back(tag(act), by: by)

  def initialize(project)
    @project = project
  end

  # keys: of findings that have a fix. What has none any more is passed over. Returns [act, segments changed].
  def write(keys, by:)
    wanted = keys.to_set
    rows = checking.findings.select { |row| row["fix"] && wanted.include?(row[:key]) }
    @project.transaction do
      act = ProjectAct.note(@project, by, KIND)
      changed = rows.group_by { |row| row[:segment] }.map { |segment, own| mend(segment, own, act, by) }
      act.update!(facts: { "count" => changed.size })
      [act, changed]
    end
  end

  private

  def checking = @checking ||= Project::Checking.new(@project)

  # One after the other: a fix is worked out anew once another one is in.
  def mend(segment, rows, act, by)
    codes = rows.map { |row| row["code"] }
    rows.size.times do
      fix = checking.of(segment).find { |one| one["fix"] && codes.include?(one["code"]) }
      segment.target = fix["fix"] if fix
    end
    wanted = segment.target
    segment.restore_attributes(["target"])
    segment.rewrite(wanted, act: Project::Fixing.tag(act), by: by)
    segment
  end
end
