# A message in ICU syntax with plural or select branches: where the texts of its branches stand.
module Glossema
  module Formats
    class Message
      # from…to: characters of the message; label: "one", "other", "female · one" …; counted: within a plural,
      # where # stands for the number.
      Branch = Struct.new(:label, :from, :to, :text, :counted)
      HEAD = /\{\s*[\w.]+\s*,\s*(?:plural|select|selectordinal)\s*,/

      def self.plural?(text) = text.match?(HEAD) && !new(text).branches.empty?

      attr_reader :branches

      def initialize(text)
        @text, @branches = text, []
        @counting = 0
        read(0, text.length, [])
      end

      private

      # Text around a plural construct belongs to the message as a whole; it is a branch of its own only when
      # it has letters.
      def read(from, to, labels)
        match = HEAD.match(@text[from...to])
        unless match
          return (
            @branches << branch_of(labels.empty? ? "text" : labels.join(" · "), from, to)
          )
        end

        start = from + match.begin(0)
        ending = closing(start) or return
        outside(from, start, labels, "before")
        counting = match[0].match?(/,\s*(?:plural|selectordinal)/) ? 1 : 0
        @counting += counting
        position = from + match.end(0)
        while (branch = @text[position...ending].match(/\A\s*(?:offset:\d+\s*)?(=\d+|[\w-]+)\s*\{/))
          inner = position + branch.end(0)
          finish = closing(inner - 1) or break
          read(inner, finish, labels + [branch[1]])
          position = finish + 1
        end
        @counting -= counting
        outside(ending + 1, to, labels, "after")
      end

      def outside(from, to, labels, where)
        from += 1 while from < to && @text[from].match?(/\s/)
        to -= 1 while to > from && @text[to - 1].match?(/\s/)
        return unless to > from && @text[from...to].match?(/\p{L}/)

        if @text[from...to].match?(HEAD)
          read(from, to, labels)
        else
          @branches << branch_of([*labels, where].join(" · "), from, to)
        end
      end

      def branch_of(label, from, to) = Branch.new(label, from, to, @text[from...to], @counting.positive?)

      # The place of the brace that closes the one at `open`.
      def closing(open)
        depth, quoted = 0, false
        (open...@text.length).each do |index|
          char = @text[index]
          if char == "'" && (quoted || @text[index + 1].to_s.match?(/[{}#']/))
            quoted = !quoted
          elsif quoted
            next
          elsif char == "{"
            depth += 1
          elsif char == "}"
            depth -= 1
            return index if depth.zero?
          end
        end
        nil
      end
    end
  end
end
