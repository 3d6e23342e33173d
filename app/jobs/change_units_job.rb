# Does, or takes back, what an act on a memory does to many units; shows how far it is, can be cancelled, goes
# on after a restart.
class ChangeUnitsJob < ApplicationJob
  def perform(change)
    change.work if change.busy? || change.state == "undoing"
  rescue StandardError
    change.update!(
      state: "failed",
      facts: change.facts.merge("message" => I18n.t("background.fault"))
    )
    raise
  end
end
