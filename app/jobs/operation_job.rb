# Does the next operation of a weight, see Operation::Scheduling; with a number, that one, which a server that
# was killed had cancelled and not cleared up.
class OperationJob < ApplicationJob
  queue_as { arguments.first }

  def perform(weight, id = nil)
    operation = id ? Operation.where(active: true).find_by(id: id) : Operation.claim(weight)
    operation&.work
  end
end
