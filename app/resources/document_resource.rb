# A file of a project and how far its reading is.
class DocumentResource < ApplicationResource
  typelize state: "ReadingState", by: "Cutting", facts: "DocumentFacts", bands: "Bands | null"
  typelize options: "Options", role: "DocumentRole", comparison: "Comparison | null"
  typelize groups: "BandGroups | null", timed: "boolean", film: "string | null"
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
  attribute(:timed, &:timed?)
  # The language that its text looks like, where that is not the one it is taken to be in.
  typelize "string | null"
  attribute(:looks_like) do |document|
    looks = document.facts["looks"]
    looks unless document.source_lang.nil? || Glossema::Languages.could_be?(looks, document.source_lang)
  end
  # The name of the film beside it.
  attribute(:film) { |document| document.film.filename.to_s if document.film.attached? }
  # The words of its bands in the groups that are seen together.
  attribute(:groups) { |document| document.bands && Glossema::Counting::Bands.grouped(document.bands) }
end
