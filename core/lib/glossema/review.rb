# What goes out to a reviser and comes back: the review sheet.
module Glossema
  module Review
  end
end

%w[row code_marks instructions sheet_parts sheet settled changes returned outcome].each { |name|
  require "glossema/review/#{name}"
}
