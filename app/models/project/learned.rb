# What completion learned from a project's own confirmed translations, held in memory while it is used.
class Project::Learned
  # So many of the newest are learned from at first.
  SEGMENTS = 1500
  HELD = 5

  @held, @lock = {}, Mutex.new

  class << self
    # The HeldModel of a project as it is now.
    def held_model(project)
      held, known = find([project.id, project.created_at.to_f])
      held.alone do
        begin_with(project, held, known) unless held.model
        follow(project, held, known)
      end
      held
    end

    private

    # Everybody waits for this: nothing is learned here. Returns the HeldModel and {segment id => target} of
    # what it knows.
    def find(key)
      @lock.synchronize do
        found = @held.delete(key) || [HeldModel.new, {}]
        @held.shift if @held.size >= HELD
        @held[key] = found
      end
    end

    def begin_with(project, held, known)
      newest = confirmed(project).order(updated_at: :desc).limit(SEGMENTS)
      rows = newest.pluck(:id, :source, :target, :updated_at)
      held.model = Glossema::Completion::Model.learn(rows.reverse.map { |_, *texts, _| plain(texts) })
      held.since = rows.first&.last || Time.at(0).utc
      rows.each { |id, _, target, _| known[id] = target }
    end

    # What was confirmed or changed since; a wording that was replaced stays known.
    def follow(project, held, known)
      rows = confirmed(project).where(updated_at: held.since..).order(:updated_at)
      rows.limit(SEGMENTS).pluck(:id, :source, :target, :updated_at).each do |id, source, target, at|
        held.since = at
        next if known[id] == target

        known[id] = target
        held.model.add(*plain([source, target]))
      end
    end

    def confirmed(project) = project.segments.where.not(state: Segment::UNFINISHED)
    def plain(texts) = texts.map { |text| Glossema::Content.plain(text) }
  end
end
