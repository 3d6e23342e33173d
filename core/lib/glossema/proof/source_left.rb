# Source text that a written file still holds, though it was translated: told by a reading that knows
# nothing of our readers, and sees what they pass over. Letters and digits alone are compared, whatever
# stands between them.
require "cgi"
require "zip"

module Glossema
  class Proof
    module SourceLeft
      # Shorter texts, in bytes of letters, are found by chance.
      LEAST = 16
      PARTS = /\.(?:xml|xhtml|html?|opf|ncx|txt)\z/i
      ESCAPED = /\\u(\h{4})/

      module_function

      # bytes: of the written file; pairs: [[text of the source, text as written], …] → source texts that are
      # still there, each once, in order.
      def find(bytes, pairs)
        sources = pairs.reject { |source, written| source == written }.map(&:first).uniq
        wanted = sources.to_h { |source| [letters(source), source] }.select { |key, _| key.bytesize >= LEAST }
        return [] if wanted.empty?

        # What a translation holds by itself is not left.
        held = found(wanted.keys, letters(pairs.map(&:last).join("\n")))
        found(wanted.keys - held, letters(text_of(bytes))).map { |key| wanted[key] }
      end

      # Those of some keys that stand in a text.
      def found(keys, text)
        heads = keys.group_by { |key| key.byteslice(0, LEAST) }
        there = {}
        (0..(text.bytesize - LEAST)).each do |at|
          list = heads[text.byteslice(at, LEAST)] or next
          list.each { |key| there[key] = true if text.byteslice(at, key.bytesize) == key }
        end
        keys.select { |key| there[key] }
      end
      private_class_method :found

      def letters(text) = text.unicode_normalize(:nfc).downcase.gsub(/[^\p{L}\p{N}]+/, "")
      private_class_method :letters

      def text_of(bytes)
        return plain(bytes) unless bytes.start_with?("PK".b)

        Zip::File.open_buffer(StringIO.new(bytes)).select { |entry| entry.name.match?(PARTS) }
          .map { |entry| plain(entry.get_input_stream.read) }.join("\n")
      end
      private_class_method :text_of

      # Without markup, with characters that are written otherwise as themselves.
      def plain(bytes)
        text = decoded(bytes)
        text = text.gsub(/<[^>]*>/m, "") if text.lstrip.start_with?("<")
        CGI.unescapeHTML(text.gsub(ESCAPED) { [Regexp.last_match(1).hex].pack("U") }.scrub)
      end
      private_class_method :plain

      def decoded(bytes)
        text = bytes.dup.force_encoding("UTF-8")
        return text.delete_prefix("\uFEFF") if text.valid_encoding?
        return bytes.dup.force_encoding("UTF-16").encode("UTF-8") if bytes.start_with?("\xFF\xFE".b,
          "\xFE\xFF".b)

        bytes.dup.force_encoding("Windows-1252").encode("UTF-8", invalid: :replace, undef: :replace)
      end
      private_class_method :decoded
    end
  end
end
