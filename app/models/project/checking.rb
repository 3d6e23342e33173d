# The findings of a project, in text order, with what was let stand.
class Project::Checking
  def initialize(project)
    @project, @run = project, Project::CheckRun.new(project)
  end

  # [{segment, "code", "level", "message", "source", "target", "fix", "other", key:, all_key:, stands:
  # IgnoredFinding or nil} …] of all that was looked at.
  def findings
    found = own
    found.merge!(across) { |_, one, other| one + other }
    stands = IgnoredFinding.in_project(@project).index_by(&:digest)
    in_text_order(found.keys).flat_map do |segment|
      found[segment.id].map { |finding| row(segment, finding, stands) }
    end
  end

  # {segment id => the worst level of what is not let stand}
  def marks
    open = findings.reject { |row| row[:stands] }
    open.group_by { |row| row[:segment].id }
      .transform_values { |rows| Glossema::Checks::LEVELS.find { |level| rows.any? { |row| row["level"] == level } } }
  end

  # How many of each level are open, and how many are let stand: {"must-fix", "look", "stands"}.
  def summary
    stands, open = findings.partition { |row| row[:stands] }
    { **Glossema::Checks::LEVELS.to_h { |level| [level, open.count { |row| row["level"] == level }] },
      "stands" => stands.size }
  end

  # Findings of one segment, as it reads now, or with another target (Content).
  def segment_findings(segment, target: segment.target_content)
    @project.checker.findings(@project.pair_of(segment, target: target))
      .map { |finding| finding.to_h.transform_keys(&:to_s) }
  end

  private

  def row(segment, finding, stands)
    keys, earlier = [IgnoredFinding.said(finding), IgnoredFinding.sentence(finding)].map do |said|
      [IgnoredFinding.digest_of(segment, said), IgnoredFinding.digest_of_all(said)]
    end
    { **finding, "message" => Glossema::Checks.message_of(finding), segment: segment, key: keys[0],
                 all_key: keys[1], stands: stands.values_at(*keys, *earlier).compact.first }
  end

  def in_text_order(ids)
    @project.segments.joins(:document).where(id: ids).order("documents.position", :position)
      .includes(:document)
  end

  # {segment id => [finding …]} as they were kept of those that are translated.
  def own
    CheckedSegment.where(segment_id: @run.translated.select(:id)).where.not("findings = '[]'")
      .pluck(:segment_id, :findings).to_h
  end

  # The same of what is only seen across the text.
  def across
    rows = comparable.map do |segment|
      Glossema::Checks::Across::Row.new(id: segment.id, number: segment.position, apart: segment.exempt,
        source: segment.source_content.text, target: segment.target_content.text,
        terms: terms_of(segment))
    end
    found = Glossema::Checks::Across.findings(rows, @project.check_profile_in_force)
    found.transform_values { |list| list.map { |one| one.to_h.transform_keys(&:to_s) } }
  end

  # Those that share a source or a target with others, or hold terms: the rest cannot differ from anything.
  def comparable
    all = @run.translated
    shared = %w[source target].zip(%w[target source]).map do |side, other|
      all.group(side).having("COUNT(DISTINCT #{other}) > 1").select(side)
    end
    all.where(source: shared[0]).or(all.where(target: shared[1])).or(all.where(id: with_terms.keys))
      .order("documents.position", :position)
  end

  def with_terms
    @with_terms ||= CheckedSegment.where(segment_id: @run.translated.select(:id))
      .where.not("terms = '[]'").pluck(:segment_id, :terms).to_h
  end

  def terms_of(segment)
    with_terms.fetch(segment.id, []).map { |use| Glossema::Checks::Vocabulary::Use.new(**use.symbolize_keys) }
  end
end
