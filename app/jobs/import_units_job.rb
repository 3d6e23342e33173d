# Takes the units of an uploaded file into a memory; shows how far it is, can be cancelled, goes on after a
# restart.
class ImportUnitsJob < ApplicationJob
  def perform(change)
    return unless change.busy?

    change.file.open { |file| Memory::Import.new(change).run(file, change.options.fetch("file")) }
  rescue Glossema::Refused
    nil
  rescue StandardError
    change.update!(
      state: "failed",
      facts: change.facts.merge("message" => I18n.t("background.fault"))
    )
    raise
  end
end
