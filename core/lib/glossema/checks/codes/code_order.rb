# A pair of codes that closes before it opens, or crosses another one.
module Glossema
  module Checks
    class CodeOrder < Check
      is "code-order", group: "codes", level: "must-fix"

      def findings(pair)
        return [] if in_order?(pair.target.codes) || !in_order?(pair.source.codes)

        mended = pair.target.well_formed.written
        fix = mended if Content::Balance.new(pair.source.written, mended).even?
        [finding(fix: fix)]
      end

      private

      def in_order?(codes)
        open = []
        codes.each do |code|
          open << code.id if code.open?
          return false if code.close? && open.pop != code.id
        end
        open.empty?
      end
    end
  end
end
