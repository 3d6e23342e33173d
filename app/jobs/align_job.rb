# Aligns two files in the background; begins anew after a restart.
class AlignJob < ApplicationJob
  def perform(alignment)
    alignment.align unless alignment.state == "ready"
  rescue StandardError
    alignment.update!(state: "failed", message: I18n.t("alignments.fault"))
    raise
  end
end
