# Certain fixes put in: one, or all of a kind.
class Project::Fixing
  # keys: of findings that have a fix. What has none any more is passed over.
  def initialize(project, keys)
    @project, @keys = project, keys.to_set
  end

  # Those that have something to be fixed, in text order.
  def segments = rows.keys

  # One fix after the other: each is worked out anew once another one is in. tag: of the operation.
  def mend(segment, tag:, by:)
    codes = rows.fetch(segment).map { |row| row["code"] }
    segment.reload
    codes.size.times do
      fix = checking.segment_findings(segment).find { |one| one["fix"] && codes.include?(one["code"]) }
      segment.target = fix["fix"] if fix
    end
    wanted = segment.target
    segment.restore_attributes(["target"])
    segment.rewrite(wanted, act: tag, by: by)
  end

  private

  def rows
    @rows ||= checking.findings.select { |row| row["fix"] && @keys.include?(row[:key]) }
      .group_by { |row| row[:segment] }
  end

  def checking = @checking ||= Project::Checking.new(@project)
end
