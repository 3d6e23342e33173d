# Moves the units of one memory into another, for merging and splitting; shows how far it is, can be cancelled, goes on after a restart.
class MoveUnitsJob < ApplicationJob
  def perform(change)
    change.memory.take_over(change) if change.busy?
  rescue StandardError
    change.update!(state: "failed", facts: change.facts.merge("message" => "A fault in Glossema itself stopped this. Its log says more."))
    raise
  end
end
