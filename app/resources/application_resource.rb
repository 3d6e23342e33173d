# Base of all shapes of the API. Their types for the interface are generated (bin/types); what a column does
# not tell is said with `typelize`, in words of frontend/shared/shapes.ts.
class ApplicationResource
  include Alba::Resource
  include Typelizer::DSL
end
