# A termbase with what its entries are about.
class TermbasePageResource < TermbaseResource
  typelize facets: "TermFacets"

  attribute(:facets, &:facets)
end
