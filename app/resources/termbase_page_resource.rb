# A termbase with what its entries are about.
class TermbasePageResource < TermbaseResource
  typelize_from Termbase
  typelize facets: "TermFacets", candidates: "number"

  attribute(:facets, &:facets)
  attribute(:candidates) { |termbase| termbase.candidates.where(state: "waiting").count }
end
