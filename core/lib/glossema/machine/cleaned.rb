# The text of a service without what no translation holds: control characters, marks that turn the direction
# of a text round, letters that were read in the wrong encoding.
module Glossema
  module Machine
    module Cleaned
      CONTROLS = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F]/
      TURNS = /[\u202A-\u202E\u2066-\u2069]/
      UNREADABLE = "\uFFFD".freeze
      # UTF-8 that was read as Latin-1: "perchÃ©".
      MISREAD = /[\u00C2-\u00F4][\u0080-\u00BF€‚ƒ„…†‡ˆ‰Š‹ŒŽ‘’“”•–—˜™š›œžŸ]/
      # An answer may be so many times as long as its text, and so many characters more.
      LONGER, MORE = 20, 500

      module_function

      # text: of a service, with markup; source: text it was asked for. Returns the text, or nil where it
      # holds nothing. Raises Refused "machine-answer.unreadable" and "machine-answer.long".
      def text(text, source)
        given = text.dup.force_encoding("UTF-8").scrub(UNREADABLE)
        check(given, source)
        given = recoded(given) || given unless source.match?(MISREAD)
        given = given.gsub(CONTROLS, "")
        given = given.gsub(TURNS, "") unless source.match?(TURNS)
        given unless given.match?(/\A[[:space:]]*\z/)
      end

      def check(given, source)
        if given.include?(UNREADABLE) && !source.include?(UNREADABLE)
          raise Refused.new("machine-answer.unreadable")
        end
        return if given.length <= (LONGER * source.length) + MORE

        raise Refused.new("machine-answer.long", characters: given.length)
      end
      private_class_method :check

      # A text whose UTF-8 was taken for Latin-1, read as what it is; nil where it is something else.
      def recoded(text)
        return unless text.match?(MISREAD)

        again = text.encode("Windows-1252", fallback: ->(char) { latin(char) }).force_encoding("UTF-8")
        again if again.valid_encoding?
      rescue EncodingError
        nil
      end
      private_class_method :recoded

      # Bytes that Windows-1252 has no letter for stand for themselves.
      def latin(char)
        raise EncodingError unless char.ord.between?(0x80, 0x9F)

        [char.ord].pack("C").force_encoding("Windows-1252")
      end
      private_class_method :latin
    end
  end
end
