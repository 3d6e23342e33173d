# What completion learned from a project's own confirmed translations, held in memory while it is used.
class Project::Learned
  # So many of the newest are learned from at first.
  SEGMENTS = 1500
  HELD = 5
  # since: up to when changes were taken in; known: {segment id => target}
  Held = Struct.new(:model, :since, :known)

  @held = {}

  class << self
    # The Glossema::Completion::Model of a project as it is now.
    def of(project)
      Memory::Learned.exclusively do
        key = [project.id, project.created_at.to_f]
        held = @held.delete(key) || begun(project)
        @held.shift if @held.size >= HELD
        @held[key] = held
        follow(project, held)
        held.model
      end
    end

    private

    def begun(project)
      newest = confirmed(project).order(updated_at: :desc).limit(SEGMENTS)
      rows = newest.pluck(:id, :source, :target, :updated_at)
      model = Glossema::Completion::Model.learn(rows.reverse.map { |_, *texts, _| plain(texts) })
      Held.new(model, rows.first&.last || Time.at(0).utc, rows.to_h { |id, _, target, _| [id, target] })
    end

    # What was confirmed or changed since; a wording that was replaced stays known.
    def follow(project, held)
      rows = confirmed(project).where(updated_at: held.since..).order(:updated_at)
      rows.limit(SEGMENTS).pluck(:id, :source, :target, :updated_at).each do |id, source, target, at|
        held.since = at
        next if held.known[id] == target

        held.known[id] = target
        held.model.add(*plain([source, target]))
      end
    end

    def confirmed(project) = project.segments.where.not(state: Segment::UNFINISHED)
    def plain(texts) = texts.map { |text| Glossema::Content.plain(text) }
  end
end
