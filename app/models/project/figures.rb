# Words, steps and deliveries of many projects, asked for at once.
class Project::Figures
  def initialize(projects)
    @ids = projects.map(&:id)
  end

  # {state => words}
  def words(project) = Segment::STATES.to_h { |state| [state, all_words.fetch([project.id, state], 0)] }

  # What is next: "translate", "deliver", or "delivered" when nothing changed since.
  def step(project)
    return "translate" if words(project).values_at(*Segment::UNFINISHED).any?(&:positive?)

    delivered = delivered_at(project)
    delivered && changed.fetch(project.id, delivered) <= delivered ? "delivered" : "deliver"
  end

  def delivered_at(project) = deliveries[project.id]

  private

  def all_words
    @all_words ||= Segment.to_translate.where(project_id: @ids)
      .group("segments.project_id", "segments.state").sum("segments.words")
  end

  def changed
    @changed ||= Segment.to_translate.where(project_id: @ids).group("segments.project_id")
      .maximum("segments.updated_at")
  end

  def deliveries = @deliveries ||= Delivery.where(project_id: @ids).group(:project_id).maximum(:created_at)
end
