# Compares a dropped version of a file with the one it would replace.
class CompareVersionJob < ApplicationJob
  def perform(document)
    return unless document.role == "pending"

    document.update!(state: "reading")
    document.compare
  rescue Glossema::Refused => e
    document.update!(state: "refused", message: e.message)
  ensure
    document.project.announce("version", id: document.id, state: document.state)
  end
end
