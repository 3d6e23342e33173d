# Changes of a reviser accepted, rejected or opened again. input: "round_id", "ids" of changes, "decision" of
# ReviewChange::DECISIONS, "mended": with the codes put back; "then": "resume" or "delete" the round. before:
# the decision on each change then.
class Operations::ReviewDecision < Operation
  self.default_weight = "interactive"
  self.reverts_when_stopped = true

  # list: of ReviewChange, in text order.
  def self.decide(round, list, decision, by:, mended: false, finally: nil)
    start(round.project, by: by, total: list.size, summary: round.reviser,
      input: { "round_id" => round.id, "ids" => list.map(&:id), "decision" => decision, "mended" => mended,
               "then" => finally },
      before: list.to_h { |change| [change.id.to_s, change.decision] })
  end

  def perform
    mended = input["mended"] || false
    changed = result["changed"].to_a
    in_steps(input["ids"], counter: "changes") do |id|
      segment = changes.find_by(id: id)&.decide(input["decision"], by: user, mended: mended)
      changed |= [segment.id] if segment
    end
    note("changed" => changed)
    finish_round
    announce_changes
  end

  def revert
    in_steps(before.to_a) { |id, decision| changes.find_by(id: id)&.decide(decision, by: undoer) }
    announce_changes
  end

  def shown_result = { "changed" => result["changed"].to_a.size }

  private

  def round = @round ||= ReviewRound.find_by(id: input["round_id"]) || raise(ActiveRecord::RecordNotFound)
  def changes = round.corrections.includes(:segment)
  def small? = total <= Operation::RevertsSegments::FEW

  def finish_round
    round.resume if input["then"] == "resume"
    round.destroy! if input["then"] == "delete"
  end

  def announce_changes
    subject.announce("recut")
  end
end
