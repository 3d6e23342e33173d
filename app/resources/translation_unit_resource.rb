# A translation unit with all that is known of it.
class TranslationUnitResource < ApplicationResource
  typelize notes: "string[]"

  attributes :id,
    :source,
    :target,
    :author,
    :changed_by,
    :client,
    :subject,
    :project,
    :file,
    :origin,
    :key,
    :used,
    :created_at,
    :updated_at,
    :used_at
  attribute(:notes) { |unit| unit.extra.to_h["notes"].to_a }
end
