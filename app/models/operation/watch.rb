# Watches over operations that compute for long: a worker's thread is broken off as soon as its operation is
# cancelled.
module Operation::Watch
  EVERY = 0.5
  Cancelled = Operation::Execution::Cancelled

  @watched, @lock = {}, Mutex.new

  class << self
    # Runs the block, which may be broken off at any point by Cancelled.
    def over(operation)
      @lock.synchronize do
        @watched[operation.id] = Thread.current
        @thread = Thread.new { look } unless @thread&.alive?
      end
      Thread.handle_interrupt(Cancelled => :immediate) { yield }
    ensure
      @lock.synchronize { @watched.delete(operation.id) }
      swallow
    end

    private

    # One that was raised just as the block ended.
    def swallow
      return unless Thread.pending_interrupt?

      Thread.handle_interrupt(Cancelled => :immediate) { Thread.pass }
    end

    def look
      loop do
        sleep(EVERY)
        ids = @lock.synchronize { @watched.keys }
        stop(ids) if ids.any?
      end
    end

    def stop(ids)
      stopped = Rails.application.executor.wrap { Operation.where(id: ids).where.not(state: "running").ids }
      @lock.synchronize { stopped.each { |id| @watched.delete(id)&.raise(Cancelled) } }
    end
  end
end
