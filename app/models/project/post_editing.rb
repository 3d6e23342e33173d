# How far the machine's translations in a project were changed.
class Project::PostEditing
  def initialize(project)
    @project = project
  end

  # A Glossema::Machine::PostEditing::Sum over the segments that began with what the machine gave.
  def sum
    rows = given.map { |segment, content| [content, segment.target_content, segment.words] }
    Glossema::Machine::PostEditing.sum(rows)
  end

  # {segment => Content that the machine gave for it}
  def given(segments = machine_made)
    service = Machine::Translator.for(@project) or return {}
    service.given_for(segments)
  end

  private

  def machine_made
    @project.segments.where("json_extract(origin, '$.kind') = 'machine'").where.not(target: "").to_a
  end
end
