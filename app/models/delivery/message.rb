# What is written to the client with a delivery, as it is proposed: to be edited, and copied.
module Delivery::Message
  def self.for(project)
    person = project.client&.people.to_a.first.to_h["name"].presence
    files = project.documents.select(&:ready?).map(&:name)
    language = Glossema::Languages.english(project.target_lang)
    greeting = person ? I18n.t("delivery.dear", name: person) : I18n.t("delivery.hello")
    I18n.t("delivery.message", greeting: greeting,
      reference: [project.reference, project.name].compact_blank.join(" · "), language: language,
      files: files.map { |name| "– #{name}" }.join("\n"), author: project.user.name)
  end
end
