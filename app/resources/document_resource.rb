# A file of a project and how far its reading is.
class DocumentResource < ApplicationResource
  typelize state: "ReadingState", by: "Cutting", facts: "DocumentFacts", bands: "Bands | null"
  typelize options: "Options", role: "DocumentRole", comparison: "Comparison | null"
  typelize groups: "BandGroups | null"
  typelize message: "string | null", format: "string | null"

  attributes :id,
    :position,
    :name,
    :format,
    :state,
    :message,
    :done,
    :total,
    :by,
    :source_lang,
    :facts,
    :bands,
    :byte_size,
    :options,
    :role,
    :replaces_id,
    :comparison
  # The words of its bands in the groups that are seen together.
  attribute(:groups) { |document| document.bands && Glossema::Counting::Bands.grouped(document.bands) }
end
