# One wording where a source has two: this one put there, the other put here, or this one everywhere, or
# that of a memory; an act that is taken back in one step.
class Project::Unifying
  KIND = "unified".freeze
  WAYS = %w[here there everywhere].freeze

  def self.tag(act) = "unified-#{act.id}"
  def self.undo(act, by:) = act.project.take_back(tag(act), by: by)

  def initialize(project)
    @project = project
  end

  # key: of a finding "source-two-targets"; way: of WAYS. Returns [act, segments changed]. Raises Refused
  # "finding-gone".
  def write(key, way, by:)
    row = Project::Checking.new(@project).findings.find { |one| one[:key] == key && one["other"] }
    raise Glossema::Refused.new("finding-gone") unless row

    from, into = parts(row, way)
    @project.transaction do
      act = ProjectAct.note(@project, by, KIND, facts: { "count" => into.size })
      [act, into.each { |segment| put(segment, from, act, by) }]
    end
  end

  # The translation that a memory holds for a segment put there. Returns [act, segments changed].
  def take(segment, unit, by:)
    @project.transaction do
      act = ProjectAct.note(@project, by, KIND, facts: { "count" => 1 })
      put(segment, unit, act, by)
      [act, [segment]]
    end
  end

  private

  # [segment whose wording is taken, segments that get it]
  def parts(row, way)
    here, there = row[:segment], @project.segments.find(row["other"])
    case way
    when "here" then [there, [here]]
    when "there" then [here, [there]]
    else [here, here.twins.where.not(target: ["", here.target]).to_a]
    end
  end

  # from: a segment, or a unit of a memory. Codes are those of the place it is put into.
  def put(segment, from, act, by)
    target = from.target_content.fitted(segment.source_content).written
    segment.rewrite(target, act: Project::Unifying.tag(act), by: by)
  end
end
