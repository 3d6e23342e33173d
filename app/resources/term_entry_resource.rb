# A concept entry with its terms.
class TermEntryResource < ApplicationResource
  typelize sections: "TermSection[]", definition: "string | null", subject: "string | null",
    client: "string | null", note: "string | null", source: "string | null",
    picture: "string | null", has_image: "boolean"

  attributes :id, :termbase_id, :author, :changed_by, :created_at, :updated_at
  %w[definition subject client note source picture].each do |name|
    attribute(name) { |record| record.data[name] }
  end
  attribute(:has_image) { |record| record.image.attached? }
  attribute(:sections) { |record| record.data["sections"] }
end
