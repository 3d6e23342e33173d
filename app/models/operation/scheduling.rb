# Which operation a free worker takes: of the users who wait, the one served longest ago; of one user one bulk
# operation at a time; on one subject one that writes.
module Operation::Scheduling
  extend ActiveSupport::Concern

  # When somebody's operation was taken last: {user id => a count that rises}.
  SERVED = Hash.new(0)
  LOCK = Mutex.new

  class_methods do
    # Takes the next operation of a weight into hand. Returns nil where there is none that may run now.
    def claim(weight)
      LOCK.synchronize do
        waiting = where(state: "queued", active: false, weight: weight).order(:id).to_a
        next if waiting.empty?

        running = where(active: true).to_a
        free = waiting.reject { |operation| operation.blocker(running) }
        operation = free.min_by { |one| [SERVED[one.user_id], one.id] } or next
        operation.take_in_hand && operation
      end
    end

    # At the start of a server: what the last one left begins again.
    def resume
      where(active: true).reject(&:elsewhere?).each do |left|
        next left.update_columns(state: "queued", active: false) if left.state == "running"

        OperationJob.perform_later(left.weight, left.id)
      end
      wake
    end

    # Workers look whether something may run now.
    def wake
      where(state: "queued", active: false).group(:weight).count.each do |weight, count|
        count.times { OperationJob.perform_later(weight) }
      end
    end
  end

  # The same for one that is done while a request waits; false where another one stands in its way.
  def claim_now
    LOCK.synchronize { blocker(Operation.where(active: true).to_a).nil? && take_in_hand }
  end

  # In hand, unless it was cancelled meanwhile.
  def take_in_hand
    SERVED[user_id] = SERVED.values.max.to_i + 1
    now = Time.current
    taken = Operation.where(id: id, state: "queued", active: false).update_all(
      state: "running", active: true, started_at: now, updated_at: now
    )
    return false if taken.zero?

    reload
    cursor["from"] = done
    true
  end

  # Is another process than a server's at work on it?
  def elsewhere? = false

  # Of the operations in hand the one that this one has to wait for, or nil.
  def blocker(running)
    running.find do |other|
      next if other.id == id

      (weight == "bulk" && other.weight == "bulk" && other.user_id == user_id) ||
        (exclusive && other.exclusive && subject_id && same_subject?(other))
    end
  end

  # What a queued one waits for: {"reason" => "subject" or "own", "kind"} or {"reason" => "others", "count"};
  # nil where nothing stands in its way.
  def waiting_for
    return unless state == "queued"

    running = Operation.where(active: true).to_a
    if (other = blocker(running))
      return { "reason" => same_subject?(other) ? "subject" : "own", "kind" => other.kind }
    end

    ahead = running.count { |one| one.weight == weight } +
      Operation.where(state: "queued", weight: weight).where(id: ...id).count
    { "reason" => "others", "count" => ahead } if ahead.positive?
  end

  private

  def same_subject?(other) = other.subject_type == subject_type && other.subject_id == subject_id
end
