# Transactions that others hardly notice: while one of them has the write lock of the database, everybody else
# waits, so it lasts some hundredths of a second, and between two of them others get their turn.
module ShortTransaction
  # It takes no more once it has lasted so many seconds.
  BUDGET = 0.02
  PAUSE = 0.002
  # So many are written in a transaction at least, and at most.
  FEWEST, MOST = 5, 500
  # Threads of workers are of low priority (ApplicationJob). Whoever has the write lock goes first.
  PRIORITY = 2

  module_function

  def run(&)
    before = Thread.current.priority
    Thread.current.priority = PRIORITY
    ApplicationRecord.transaction(&)
  ensure
    Thread.current.priority = before
  end

  # Runs the block, which writes so many, in a transaction. Returns how many should be written in the next
  # one.
  def fitting(count, &)
    began = now
    run(&)
    share = BUDGET / [now - began, 0.001].max
    (count * share.clamp(0.5, 2.0)).round.clamp(FEWEST, MOST)
  end

  # Yields 0, 1, … below a count until the budget is spent. Returns how many were yielded: at least one.
  def within_budget(count)
    finish = now + BUDGET
    done = 0
    while done < count
      yield done
      done += 1
      break if now > finish
    end
    done
  end

  # Yields all items of an enumerable in as many transactions as they take.
  def each(items, &)
    items.each_slice(1000) do |slice|
      until slice.empty?
        done = run { within_budget(slice.size) { |index| yield slice[index] } }
        slice = slice.drop(done)
        pause
      end
    end
  end

  def pause = sleep(PAUSE)
  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
end
