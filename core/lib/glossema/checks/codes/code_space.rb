# A space that moved into a pair of codes, or out of it.
module Glossema
  module Checks
    class CodeSpace < Check
      is "code-space", group: "codes", level: "look"

      def findings(pair)
        return [] unless pair.source.coded?

        before, now = [pair.source, pair.target].map { |content| edges(content) }
        now.filter_map do |code, inside|
          finding(code: code) if before.key?(code) && inside && !before[code]
        end
      end

      private

      # {code => does a space stand on its inner side?}
      def edges(content)
        content.items.each_with_index.with_object({}) do |(item, index), all|
          next unless item.is_a?(Code) && !item.alone?

          inner = item.open? ? content.items[index + 1] : (index.positive? && content.items[index - 1])
          all[item.written] =
            inner.is_a?(String) && inner.match?(item.open? ? /\A[[:space:]]/ : /[[:space:]]\z/)
        end
      end
    end
  end
end
