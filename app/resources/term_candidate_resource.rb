# A candidate as it stands in the list.
class TermCandidateResource < ApplicationResource
  typelize examples: "string[]", state: "CandidateState"

  attributes :id, :text, :translation, :lang, :target_lang, :count, :examples, :state
end
