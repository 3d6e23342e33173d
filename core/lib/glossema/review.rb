# What goes out to a reviser and comes back: the review sheet.
module Glossema
  module Review
    # A sheet that came back, in whichever form it went out: Returned or Bilingual. Raises what they refuse.
    def self.read(bytes, name)
      (bytes.start_with?("PK".b) ? Returned : Bilingual).new(bytes, name)
    end
  end
end

%w[row code_marks instructions sheet_parts sheet settled changes returned bilingual outcome].each { |name|
  require "glossema/review/#{name}"
}
