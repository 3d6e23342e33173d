# Cuts files of a project anew after its rules, or the options of a file, have changed.
class RecutJob < ApplicationJob
  def perform(project, user, documents = project.documents.to_a)
    documents.select(&:ready?).each { |document| document.recut(by: user) }
    project.announce("recut")
  rescue Glossema::Refused => e
    project.announce("refused", message: e.message)
  end
end
