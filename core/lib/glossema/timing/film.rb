# What a file is that is said to be a film: known by how it begins.
module Glossema
  module Timing
    module Film
      # So many bytes say it.
      HEAD = 4096

      module_function

      # head: the first bytes of a file → "video/mp4", "video/webm" or nil.
      def kind(head)
        bytes = head.to_s.b
        return "video/mp4" if bytes[4, 4] == "ftyp"

        "video/webm" if bytes.start_with?("\x1A\x45\xDF\xA3".b) && bytes[0, 64].include?("webm")
      end
    end
  end
end
