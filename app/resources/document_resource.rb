# A file of a project and how far its reading is.
class DocumentResource
  include Alba::Resource

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
end
