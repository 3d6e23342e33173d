# The inline code that may come next: the first of the source's that is still missing, the likelier the more
# the position is like its position in the source. The browser computes the same
# (frontend/translate/completion/codes.ts); both share core/spec/cases/next_code.json.
module Glossema
  module Completion
    module Codes
      # At the very beginning, surer than any word; at the very end; where a pair has as many words as in the
      # source, or the same stands before it; anywhere else.
      AT_START, AT_END, IN_PLACE, ANYWHERE = 0.7, 0.5, 0.4, 0.05
      WORD = /[\p{L}\p{M}\p{N}]+/
      ENDED = /[.!?:…。！？]["”’»)]*\s*\z/
      # The last word, figure or mark before a code.
      LAST = /(?:[\p{L}\p{M}\p{N}]+|[^\s\p{L}\p{M}\p{N}])\s*\z/

      class << self
        # source: a Content; target: what of its translation stands before the caret, a Content. Returns
        # [code in written form, how likely it comes next], or nil where none can come.
        def next(source, target)
          code = Content::Balance.new(source.written, target.written).missing.first
          return unless code && fits?(code, target)

          before, after = around(source, code)
          [code, likelihood(code, before, after, target)]
        end

        private

        # Only a closing code stands right after a letter.
        def fits?(code, target)
          code.start_with?("{/") || !target.text.match?(/[\p{L}\p{M}\p{N}]\z/)
        end

        def around(source, code)
          at = source.items.index { |item| item.is_a?(Code) && item.written == code }
          [Content.new(source.items.take(at)), Content.new(source.items.drop(at + 1))]
        end

        def likelihood(code, before, after, target)
          return target.text.strip.empty? ? AT_START : ANYWHERE if before.text.strip.empty?
          return AT_END if at_end?(before, after, target)

          in_place = code.start_with?("{/") ? filled?(code, before, target) : same_before?(before, target)
          in_place ? IN_PLACE : ANYWHERE
        end

        def at_end?(before, after, target)
          words(after).zero? && target.text.match?(ENDED) && before.text.match?(ENDED)
        end

        # Are there as many words since the opening code as in the source?
        def filled?(code, before, target)
          opening = code.delete("/")
          typed = words(since(opening, target))
          typed.positive? && typed >= words(since(opening, before))
        end

        def since(opening, content)
          at = content.items.rindex { |item| item.is_a?(Code) && item.written == opening }
          Content.new(content.items.drop(at ? at + 1 : 0))
        end

        def same_before?(before, target)
          last = before.text[LAST]&.strip
          !last.nil? && target.text[LAST]&.strip == last
        end

        def words(content) = content.text.scan(WORD).size
      end
    end
  end
end
