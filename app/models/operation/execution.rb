# How a worker does an operation, undoes it, and clears up when it was cancelled or fails.
module Operation::Execution
  # Raised where an operation notices that it was cancelled. Nothing that rescues faults may rescue it.
  class Cancelled < Exception; end # rubocop:disable Lint/InheritException

  # How often it is looked whether it was cancelled, in seconds.
  EVERY = 0.2
  # What reading a file may use: docs/running.md.
  READING_MEMORY = Integer(ENV.fetch("GLOSSEMA_READING_MEGABYTES", 3_000)) << 20
  # What ends a process that wants more time or memory than it may have.
  BY_LIMITS = %w[XCPU KILL SEGV ABRT].freeze

  # Does it, in a process of its own where it is heavy or reads what somebody brought.
  def work
    apart = heavy? || (reads_files && Rails.configuration.x.reading_apart)
    apart && Operation::ChildProcess.possible? ? Operation::ChildProcess.run(self) : execute
  end

  # What its process may use, as setrlimit calls it: seconds of the processor, bytes of memory.
  def limits = reads_files ? { "CPU" => seconds_to_read, "AS" => READING_MEMORY } : {}

  # Would it slow down whoever types in this process? Kinds say so, by how much there is to do.
  def heavy? = false

  # Reading is much faster, or the file means harm.
  def seconds_to_read = Integer(ENV.fetch("GLOSSEMA_READING_SECONDS", 120))

  # Does what is to be done here, in the language of whoever began it.
  def execute
    Thread.handle_interrupt(Cancelled => :never) do
      I18n.with_locale(user&.language || I18n.default_locale) do
        state == "running" ? run : clear_up
      end
    end
  end

  # Raises Cancelled once somebody cancelled it, or Refused once whoever began it may no longer do it.
  def checkpoint
    now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    return if @clearing || (@checked_at && now - @checked_at < EVERY)

    @checked_at = now
    raise Cancelled if Operation.where(id: id).pick(:state) != "running"

    @parent&.checkpoint
    check_right
  end

  # Work that takes long and writes nothing: it is broken off at once when the operation is cancelled.
  def interruptible(&)
    return yield if @clearing

    checkpoint
    Operation::Watch.over(self, &)
  end

  # Makes a result visible, whole, in one short transaction; not when it was cancelled meanwhile.
  def publish
    ShortTransaction.run do
      raise Cancelled if Operation.where(id: id).pick(:state) != "running"

      yield
      save!
    end
  end

  # The same for a result with which it is done or undone: from here on it is not cancelled, and a kill does
  # not repeat it.
  def complete
    publish do
      yield
      now = Time.current
      self.undone_at = now if undoing?
      assign_attributes(state: undoing? ? "undone" : "done", undoing: false, finished_at: now)
    end
  end

  # Its process ended before it did, by a signal or by itself (0).
  def broken_off(signal)
    too_much = reads_files && BY_LIMITS.include?(Signal.signame(signal))
    update!(state: "failed", message: I18n.t(too_much ? "operations.too_much" : "operations.broken_off"))
  end

  private

  def run
    undoing? ? revert : perform
    settle
  rescue Cancelled
    clear_up
  rescue Glossema::Refused => e
    stop_with(e.message)
    # Whoever waits is told.
    raise if @at_once
  rescue NoMemoryError, SystemStackError
    stop_with(I18n.t("operations.too_much"))
    raise if @at_once
  rescue StandardError => e
    stop_with(e.is_a?(ActiveRecord::RecordNotFound) ? I18n.t("operations.gone") : I18n.t("operations.fault"))
    raise if @at_once

    Rails.error.report(e, handled: true)
    Rails.logger.error(FaultTold.describe(e))
  end

  def settle
    return clear_up if completed?

    now = Time.current
    kept = Operation.where(id: id, state: "running").update_all(
      state: undoing? ? "undone" : "done", active: false, undoing: false, finished_at: now, updated_at: now,
      undone_at: undoing? ? now : nil, done: [done, total].max
    )
    return clear_up if kept.zero?

    reload
    settled
  end

  def stop_with(message)
    return clear_up if completed?

    Operation.where(id: id).update_all(state: "failed", message: message, finished_at: Time.current)
    reload
    clear_up
  end

  # After it was cancelled or failed: what is half done goes, and it is out of hand.
  def clear_up
    reload
    @clearing = true
    clear_half_done unless completed?
  rescue ActiveRecord::RecordNotFound
    nil
  ensure
    @clearing = false
    Operation.where(id: id).update_all(active: false, phase: nil, undoing: state == "failed" && undoing?)
    reload if Operation.exists?(id)
    settled
  end

  def clear_half_done
    update_columns(phase: Operation::CLEARING)
    undo_half_done if reverts_when_stopped && !undoing? && respond_to?(:revert)
    abandon
  end

  def completed? = %w[done undone].include?(state) && !undoing?

  def undo_half_done
    revert
    update!(cursor: {}, done: 0)
  end

  # A kind sweeps here what it had made and nobody has seen.
  def abandon = nil

  # What a file, report or alignment says of why it stopped. fault: what it says of an error in Glossema.
  def stop_reason(fault)
    return I18n.t("operations.cancelled") unless state == "failed"

    [nil, I18n.t("operations.fault")].include?(message) ? fault : message
  end

  # It has ended, one way or another.
  def settled
    announce
    Operation.wake if Operation.exists?(state: "queued", active: false)
  end

  def announce
    subject.announce("operation", id: id, kind: kind, state: state) if subject.is_a?(Project)
  end

  # A right that was taken back meanwhile ends it; so does a subject that is gone.
  def check_right
    case subject
    when Memory, Termbase
      raise Cancelled if gone?(:deleted_at) && !undoing?

      check_access
    when Project
      raise Cancelled if gone?(:deleted_at)
    end
  end

  def gone?(attribute)
    at = subject.class.where(id: subject_id).pick(attribute)
    at.present? && at != Staging::AT
  end

  def readable!
    return if user.access.readable(subject.class).exists?(subject_id)

    raise Glossema::Refused.new("share-gone", name: subject.name)
  end
end
