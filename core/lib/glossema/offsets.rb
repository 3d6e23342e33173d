# Where a pattern stands in a text, in code points. Ruby counts through a text that is not ASCII from its
# beginning for every place it tells; here it is counted through once.
require "strscan"

module Glossema
  module Offsets
    module_function

    # Yields the text of each match, where it begins and ends, and the StringScanner for its groups. Looks
    # behind as String#scan does.
    def each(text, pattern)
      scanner = StringScanner.new(text, fixed_anchor: true)
      byte = from = 0
      while scanner.skip_until(pattern)
        matched = scanner.matched
        begins = scanner.pos - matched.bytesize
        from += text.byteslice(byte, begins - byte).length if begins > byte
        to = from + matched.length
        byte = scanner.pos
        yield matched, from, to, scanner
        from = to
        break if matched.empty? && scanner.getch.nil?
      end
    end

    # [[from, to], …]
    def all(text, pattern) = [].tap { |places| each(text, pattern) { |_, from, to| places << [from, to] } }

    # Yields what stands before each match and the match; answers what stands behind the last one.
    def parts(text, pattern)
      scanner, at = StringScanner.new(text, fixed_anchor: true), 0
      while scanner.skip_until(pattern)
        matched = scanner.matched
        yield text.byteslice(at, scanner.pos - matched.bytesize - at), matched
        at = scanner.pos
        break if matched.empty? && scanner.getch.nil?
      end
      text.byteslice(at..)
    end

    # The pieces of a text between places in ascending order.
    def pieces(text, places)
      at = 0
      rest = text
      [*places, nil].map do |place|
        piece = place ? rest[0, place - at] : rest
        rest = rest.byteslice(piece.bytesize..)
        at = place
        piece
      end
    end
  end
end
