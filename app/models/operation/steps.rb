# Work in small steps: short transactions between which others write, the place kept in each of them, so that
# an operation goes on there after a kill.
module Operation::Steps
  # Yields each item, several of them in a transaction. counter: under which name the place is kept, so that
  # those done before a restart are passed over; without one the items are what is left to be done.
  def in_steps(items, counter: nil)
    at, before = counter ? [cursor.fetch(counter, 0), 0] : [0, done]
    update_columns(done: before + at, total: before + items.size)
    while at < items.size
      checkpoint
      ShortTransaction.run do
        at += ShortTransaction.within_budget(items.size - at) { |index| yield items[at + index] }
        advance(counter, at, before + at)
      end
      ShortTransaction.pause
    end
  end

  # The same for slices that are written together, each in a transaction: as many items as take about as long
  # as ShortTransaction says. size: how many at first.
  def in_slices(items, size, counter: nil)
    at, before = counter ? [cursor.fetch(counter, 0), 0] : [0, done]
    update_columns(done: before + at, total: before + items.size)
    while at < items.size
      checkpoint
      slice = items[at, size]
      size = ShortTransaction.fitting(slice.size) do
        yield slice
        at += slice.size
        advance(counter, at, before + at)
      end
      ShortTransaction.pause
    end
  end

  # How far it is, told where nothing else is written.
  def progress(done, total = self.total)
    checkpoint
    update_columns(done: done, total: total, updated_at: Time.current)
  end

  # Another part of the work begins. phase: a word that the interface has a sentence for.
  def enter(phase, total: 0)
    update!(phase: phase, total: total, done: 0, cursor: cursor.merge("from" => 0), started_at: Time.current)
  end

  private

  def advance(counter, at, done)
    cursor[counter] = at if counter
    update_columns(cursor: cursor, done: done, updated_at: Time.current)
  end
end
