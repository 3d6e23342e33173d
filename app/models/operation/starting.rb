# How operations begin, are cancelled, tried again and undone.
module Operation::Starting
  extend ActiveSupport::Concern

  class_methods do
    # Begins an operation: at once where it is small, else as soon as a worker is free. files: uploads or
    # {io:, filename:}. Returns the operation. Raises Refused for what cannot be done at all; then nothing
    # stays of it.
    def start(subject, by:, files: [], **attributes)
      operation = prepare(subject, by, files, attributes)
      operation.launch
      operation
    rescue Glossema::Refused
      operation&.discard
      raise
    end

    # The same, done when this returns, however much it is. Raises Refused.
    def perform_now(subject, by:, files: [], **attributes)
      prepare(subject, by, files, attributes).run_within(nil)
    end

    # Records a change that was made already, with what undoing it needs.
    def record(subject, by:, **attributes)
      create!(subject: subject, user: by, state: "done", finished_at: Time.current, **attributes)
    end

    # Stops all that is under way on something that goes.
    def cancel_all_of(subject)
      where(subject: subject).under_way.find_each(&:cancel)
    end

    private

    def prepare(subject, by, files, attributes)
      operation = new(subject: subject, user: by, weight: default_weight, **attributes)
      operation.check_access
      attach(operation, files)
      operation.save!
      operation.supersede_earlier if superseding
      operation
    end

    def attach(operation, files)
      files.each do |file|
        given = file.is_a?(Hash) ? file : { io: file, filename: file.original_filename }
        operation.files.attach(**given, identify: false)
      end
    end
  end

  # Raises Refused "share-right" or "share-gone" if the user may not do this to a memory or termbase of
  # somebody else.
  def check_access
    return unless [Memory, Termbase].include?(subject.class) && user && user.id != subject.user_id

    exclusive ? user.access.allowed!(subject, right_needed) : readable!
  end

  # Small ones are done while the request waits, others in the background.
  def launch
    @at_once = small? && claim_now
    @at_once ? execute : OperationJob.perform_later(weight)
  ensure
    @at_once = false
  end

  # Does it now, as part of another operation, which is cancelled with it. Raises Refused.
  def run_within(parent)
    @parent, @at_once = parent, true
    execute if take_in_hand
    self
  ensure
    @at_once = false
  end

  # Takes effect at once: nothing further is written, and what was half done is cleared up.
  def cancel
    was = state
    stopped = Operation.where(id: id, state: Operation::UNDER_WAY).update_all(
      state: undoing? ? "done" : "cancelled", finished_at: Time.current, updated_at: Time.current
    )
    return reload if stopped.zero?

    reload
    return self unless was == "queued"

    abandon
    settled
    self
  end

  # Raises Refused "operation-not-stopped".
  def retry!
    raise Glossema::Refused.new("operation-not-stopped") unless retryable?

    update!(state: "queued", message: nil, finished_at: nil)
    launch
  end

  # Raises Refused "undone", "busy", "operation-not-undoable".
  def undo(by: nil)
    raise Glossema::Refused.new("undone") if state == "undone"
    raise Glossema::Refused.new("busy") if under_way?
    raise Glossema::Refused.new("operation-not-undoable") unless undoable?

    refuse_undo
    before_undo = slice(:state, :undoing, :done, :total, :cursor, :message)
    @undoer = by
    update!(state: "queued", undoing: true, done: 0, total: 0, cursor: {}, message: nil)
    launch
  rescue Glossema::Refused
    # What was refused at once is as it was.
    update!(**before_undo) if before_undo
    raise
  end

  # Earlier ones of the kind stop: this one does their work.
  def supersede_earlier
    self.class.where(subject: subject).where.not(id: id).under_way.find_each(&:cancel)
  end

  # Without a trace, when it was refused before it did anything.
  def discard
    destroy! if persisted?
  end

  # Is it done so quickly that a request can wait for it? Kinds say so.
  def small? = false

  # A kind raises Refused here for what can be undone in general, and not now.
  def refuse_undo = nil

  def undoer = @undoer || user
end
