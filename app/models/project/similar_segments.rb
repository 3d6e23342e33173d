# Sources of a project that are almost alike, beside their translations.
class Project::SimilarSegments
  # Of more segments than this only the translated ones nearest to the beginning are laid beside each other.
  MOST = 5000
  SHOWN = 200

  def initialize(project)
    @project = project
  end

  # [Glossema::Checks::Twins::Twin …], the most uneven first, with segments in place of ids.
  def all
    segments = Project::CheckRun.new(@project).translated.includes(:document)
      .order("documents.position", :position).limit(MOST).to_a
    rows = segments.map do |segment|
      Glossema::Checks::Twins::Row.new(id: segment, source: segment.source_content,
        target: segment.target_content)
    end
    Glossema::Checks::Twins.find(rows, [@project.source_lang, @project.target_lang]).first(SHOWN)
  end
end
