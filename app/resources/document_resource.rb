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
  # The language that the file says or its text looks like, where that is not the project’s.
  typelize "string | null"
  attribute(:unlike, &:unlike_its_project)
  # The name of the file it is the same as.
  typelize "string | null"
  attribute(:twin) { |document| document.twin&.name }
  typelize outdated: "boolean"
  attribute(:outdated, &:outdated?)
  # The name of the film beside it.
  attribute(:film) { |document| document.film.filename.to_s if document.film.attached? }
  # The words of its bands in the groups that are seen together.
  attribute(:groups) { |document| document.bands && Glossema::Counting::Bands.grouped(document.bands) }
end
