# A template of projects, in lists.
class TemplateResource < ApplicationResource
  typelize_from Project

  typelize client: "string | null"

  attributes :id, :name, :source_lang, :target_lang
  attribute(:client) { |template| template.client&.name }
end
