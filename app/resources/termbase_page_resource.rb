# A termbase with what its entries are about.
class TermbasePageResource < TermbaseResource
  typelize_from Termbase
  typelize facets: "TermFacets"

  attribute(:facets, &:facets)
end
