# The codes of a source that a target lacks, and those it has in addition. The browser computes the same
# (frontend/shared/balance.ts); both share core/spec/cases/balance.json.
module Glossema
  class Content
    class Balance
      # A code in written form.
      CODE = %r{\{/?\d+/?\}}

      # The codes of a written form, in order: ["{1}", "{/1}", "{2/}"].
      def self.codes(written) = written.gsub(/\\./m, "").scan(CODE)

      # source, target: written forms.
      def initialize(source, target)
        @source, @target = self.class.codes(source), self.class.codes(target)
      end

      # Codes of the source that the target does not have as often, in the source's order.
      def missing = beyond(@source, @target)

      # Codes the target has more often than the source, in the target's order.
      def added = beyond(@target, @source)

      def even? = missing.empty? && added.empty?

      private

      def beyond(codes, others)
        left = others.tally
        codes.reject { |code| left.fetch(code, 0).positive? && left[code] -= 1 }
      end
    end
  end
end
