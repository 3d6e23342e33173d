# How far the machine's translations in a project were changed.
class Project::PostEditing
  def initialize(project)
    @project = project
  end

  # A Glossema::Machine::PostEditing::Sum over the segments that began with what the machine gave.
  def sum = sum_of(machine_made.to_a)

  # The same over those that were confirmed last.
  def lately
    confirmed = machine_made.where.not(state: Segment::UNFINISHED).order(updated_at: :desc)
    sum_of(confirmed.limit(Glossema::Matching::Edits::ENOUGH).to_a)
  end

  # {segment => Content that the machine gave for it}
  def given(segments = machine_made.to_a)
    service = Machine::Translator.for(@project) or return {}
    service.given_for(segments)
  end

  private

  def machine_made
    @project.segments.where("json_extract(origin, '$.kind') = 'machine'").where.not(target: "")
  end

  def sum_of(segments)
    rows = given(segments).map { |segment, content| [content, segment.target_content, segment.words] }
    Glossema::Machine::PostEditing.sum(rows)
  end
end
