# A word that the client never wants to read.
module Glossema
  module Checks
    class NeverUsed < Check
      is "never-used", group: "terms", level: "must-fix"

      def findings(pair)
        listed.find(pair.into).map { |one| finding(text: one.text, target: [[one.from, one.to]]) }
      end

      private

      def listed = @listed ||= Terms::Listed.new(@lists.fetch("never_used", []))
    end
  end
end
