# Work that asks servers of others on behalf of somebody who waits for the answer: done by threads of its own,
# so that no request waits for a server that does not answer. Tickets are kept for a while, in memory: a
# restart loses nothing but an answer that is asked for again.
class OutsideWork
  # So many at once, so many of one user, and so many that wait.
  THREADS, EACH, QUEUE = 12, 4, 200
  # A request waits so many seconds before it says that the answer is to be asked for later.
  WAIT = 0.25
  # An answer that nobody asks for is dropped after so long.
  KEPT = 5.minutes

  @tickets, @lock = {}, Mutex.new
  @pool = Concurrent::ThreadPoolExecutor.new(min_threads: 0, max_threads: THREADS, max_queue: QUEUE,
    fallback_policy: :abort)

  class << self
    # The block answers what is to be rendered as JSON, or raises. Returns its ticket. Raises Refused
    # "outside-busy" where too much is asked at once.
    def begin(user, &)
      ticket = new(user.id)
      @lock.synchronize do
        forget_old
        busy = @tickets.count { |_, one| one.user_id == user.id && !one.done? }
        raise Glossema::Refused.new("outside-busy") if busy >= EACH

        @tickets[ticket.id] = ticket
      end
      ticket.start(@pool, I18n.locale, &)
      ticket
    end

    # The ticket of a user, or nil.
    def find(user, id)
      ticket = @lock.synchronize { @tickets[id] }
      ticket if ticket&.user_id == user.id
    end

    # For specs: nothing was asked.
    def clear = @lock.synchronize { @tickets.clear }

    def forget(ticket) = @lock.synchronize { @tickets.delete(ticket.id) }

    private

    def forget_old
      @tickets.delete_if { |_, one| one.begun_at < KEPT.ago }
    end
  end

  attr_reader :id, :user_id, :begun_at

  def initialize(user_id)
    @id, @user_id, @begun_at = SecureRandom.urlsafe_base64(18), user_id, Time.current
    @done = Concurrent::Event.new
  end

  def start(pool, locale)
    pool.post do
      @answer = Rails.application.executor.wrap { I18n.with_locale(locale) { yield } }
    rescue StandardError => e
      @error = e
    ensure
      @done.set
    end
  rescue Concurrent::RejectedExecutionError
    OutsideWork.forget(self)
    raise Glossema::Refused.new("outside-busy")
  end

  def done? = @done.set?

  # Waits for a moment. Returns whether it is done.
  def wait(seconds = WAIT) = @done.wait(seconds)

  # What it came to, once. Raises what it raised.
  def answer
    OutsideWork.forget(self)
    raise @error if @error

    @answer
  end
end
