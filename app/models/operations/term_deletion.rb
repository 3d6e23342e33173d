# Entries deleted. input: "ids".
class Operations::TermDeletion < Operation
  include Operation::RevertsEntries

  self.reverts_when_stopped = true

  def right_needed = total > 1 ? "manage" : super

  def perform
    in_slices(input["ids"], SLICE, counter: "entries") do |ids|
      recording { |recorder| subject.entries.there.where(id: ids).each { |record| recorder.delete(record) } }
    end
    subject.announce_change
  end
end
