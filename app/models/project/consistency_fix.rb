# One wording where a source has two: this one put there, the other put here, or this one everywhere, or that
# of a memory.
class Project::ConsistencyFix
  WAYS = %w[here there everywhere].freeze

  def initialize(project)
    @project = project
  end

  # asked: of a finding "source-two-targets" its "key" and "way", of WAYS; or "segment_id" and "unit_id".
  # Returns [segment or unit whose wording is taken, segments that get it]. Raises Refused "finding-gone".
  def parts(asked)
    return [TranslationUnit.find(asked["unit_id"]),
            [@project.segments.find(asked["segment_id"])]] if asked["unit_id"]

    row = Project::Checking.new(@project).findings.find { |one| one[:key] == asked["key"] && one["other"] }
    raise Glossema::Refused.new("finding-gone") unless row

    of_finding(row, asked["way"])
  end

  private

  def of_finding(row, way)
    here, there = row[:segment], @project.segments.find(row["other"])
    case way
    when "here" then [there, [here]]
    when "there" then [here, [there]]
    else [here, here.twins.where.not(target: ["", here.target]).to_a]
    end
  end
end
