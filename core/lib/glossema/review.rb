# What goes out to a reviser and comes back: the review sheet.
module Glossema
  module Review
    # What came back, in whichever form it went out: Returned, ReturnedWorkbook, Bilingual or
    # ReturnedPackage. Raises what they refuse.
    def self.read(bytes, name)
      return ReturnedPackage.new(bytes, name) if Exchange::Package.package?(bytes)

      return Bilingual.new(bytes, name) unless bytes.start_with?("PK".b)

      (ReturnedWorkbook.workbook?(bytes) ? ReturnedWorkbook : Returned).new(bytes, name)
    end
  end
end

%w[row code_marks instructions error_types score sheet_parts sheet workbook settled changes last_saved
   returned returned_workbook bilingual returned_package
   outcome].each { |name|
  require "glossema/review/#{name}"
}
