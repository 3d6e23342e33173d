# How completion cuts texts: words, tags and marks, each with the white space before it, so that joined they
# are the text again.
module Glossema
  module Completion
    module Tokens
      # Words are bounded: one of a million letters would need memory for each letter.
      PATTERN = %r{\s*(?:<[^<>\s][^<>]*>|[%$]?(?>[\p{L}\p{M}\p{N}_]{1,200})(?:[-'’.·_:/@][\p{L}\p{N}]+)*|[^\s])}

      module_function

      def tokenize(text) = text.scan(PATTERN)

      # The tokens of a text with the first one as it stands inside texts: with a blank, and small where the
      # block says so of the small one.
      def normal(tokens)
        return tokens if tokens.empty?

        first = " #{tokens.first.lstrip}"
        small = first.sub(/\p{L}/, &:downcase)
        [yield(small) ? small : first, *tokens.drop(1)]
      end

      # The words of a source, as they are looked up.
      def source(text) = tokenize(text).map { |token| token.lstrip.downcase }
    end
  end
end
