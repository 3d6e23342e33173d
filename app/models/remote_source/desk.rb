# Asks other servers in the background: one worker for each, so that a slow one holds up neither whoever types
# nor the others. What they answer is kept, and the projects it is for are told.
class RemoteSource::Desk
  # What is asked about one text. text: what identifies it; asked: as the protocol wants it.
  Question =
    Struct.new(:kind, :pair, :text, :asked, :project, :segment, keyword_init: true) do
      def digest = @digest ||= RemoteAnswer.digest(kind, pair, text)
    end
  # Questions that wait for one server; older ones are dropped.
  WAITING = 400
  WAITS = [0.3].freeze

  @waiting, @working, @troubles, @lock = {}, {}, {}, Monitor.new

  class << self
    # questions: those not answered yet are asked. Returns "answered", "asking" or, with the sentence why,
    # "failed".
    def ask(source, questions)
      known = RemoteAnswer.fresh.where(source: source, digest: questions.map(&:digest)).pluck(:digest)
      open = questions.reject { |question| known.include?(question.digest) }
      return ["answered", nil] if open.none?

      trouble = trouble_of(source)
      return ["failed", trouble] if trouble

      queue(source, open)
      # What is asked for later may wait.
      known.include?(questions.first.digest) ? ["answered", nil] : ["asking", nil]
    end

    # Asks while the caller waits, for so many seconds at most. Raises Refused "remote-…".
    def fetch(source, questions, seconds)
      deadline = now + seconds
      known = RemoteAnswer.fresh.where(source: source).pluck(:digest).to_set
      open = questions.reject { |one| known.include?(one.digest) }.uniq(&:digest)
      open.each_slice(RemoteSource::Speaker::BATCH) do |batch|
        break if now > deadline

        answer(source, batch, source.speaker(waits: WAITS))
      end
    end

    # For specs: waits until nothing is asked any more.
    def settle
      sleep(0.02) until @lock.synchronize { @working.empty? }
    end

    def clear = @lock.synchronize { [@waiting, @troubles].each(&:clear) }

    private

    # A trouble is told until the server may be asked again.
    def trouble_of(source)
      said, until_when = @lock.synchronize { @troubles[source.id] }
      said if said && until_when > now
    end

    def queue(source, questions)
      @lock.synchronize do
        list = @waiting[source.id] ||= {}
        # The latest first.
        fresh = questions.to_h { |question| [question.digest, question] }
        @waiting[source.id] = fresh.merge(list.except(*fresh.keys)).first(WAITING).to_h
        return if @working[source.id]

        @working[source.id] = Thread.new { I18n.with_locale(source.user.language) { work(source) } }
      end
    end

    def work(source)
      while (batch = next_batch(source))
        Rails.application.executor.wrap do
          answer(source, batch, source.speaker(patience: RemoteSource::WHILE_TYPING, waits: WAITS))
          @lock.synchronize { @troubles.delete(source.id) }
        rescue Glossema::Refused => e
          give_up(source, e.message)
        ensure
          notify(batch)
        end
      end
    rescue StandardError => e
      give_up(source, e.message)
      Rails.error.report(e)
    ensure
      @lock.synchronize { @working.delete(source.id) }
    end

    # Those of one kind and pair, so that they can be asked together.
    def next_batch(source)
      @lock.synchronize do
        list = @waiting[source.id].to_h.values
        @working.delete(source.id) if list.empty?
        return if list.empty?

        first = list.first
        batch = list.select { |one| [one.kind, one.pair] == [first.kind, first.pair] }
          .first(first.kind == "concordance" ? 1 : RemoteSource::Speaker::BATCH)
        @waiting[source.id] = @waiting[source.id].except(*batch.map(&:digest))
        batch
      end
    end

    def give_up(source, message)
      @lock.synchronize do
        @waiting.delete(source.id)
        rest = HttpClient.broken[source.address]&.last.to_f
        @troubles[source.id] = [message, [rest, now + RemoteSource::WHILE_TYPING].max]
      end
    end

    # No connection to the database is held while the server is waited for.
    def answer(source, batch, speaker)
      ref, kind, pair = source.ref, batch.first.kind, batch.first.pair
      ActiveRecord::Base.connection_handler.clear_active_connections! unless
        ActiveRecord::Base.connection.transaction_open?
      answers =
        case kind
        when "matches" then speaker.matches(ref, pair, batch.map(&:asked))
        when "terms" then speaker.terms(ref, pair, batch.map(&:asked))
        else [speaker.concordance(ref, batch.first.asked)]
        end
      RemoteAnswer.keep(source, batch.map(&:digest).zip(answers))
      tell_checks(batch, answers) if kind == "terms"
    end

    # Terms of texts that are translated already are something to check.
    def tell_checks(batch, answers)
      with_terms = batch.zip(answers).filter_map { |question, found| question if found.any? }
      with_terms.group_by(&:project).each do |project, questions|
        Project::RemoteTerms.learned(project, questions.filter_map(&:segment)) if project
      end
    end

    def notify(batch)
      batch.group_by(&:project).each do |project, questions|
        project&.announce("elsewhere", ids: questions.filter_map(&:segment))
      end
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
