# What formats share that are lines of key and text: placeholders inside texts are codes, comments above a key
# are its note.
module Glossema
  module Formats
    class KeyedFile < TextFile
      def preview
        "<table class=\"keys\">" \
"#{units.reject { |unit|
  unit.content.blank?
}.map { |unit|
  "<tr><th>#{Glossema::Html.escape(unit.key || unit.path)}</th><td>" \
    "#{yield unit}</td></tr>"
}.join}</table>"
      end

      private

      # Takes the raw text from…to; decode and encode turn it into a text and back. Keys that come twice are
      # told apart by number.
      def take(key, from, to, note: nil, limit: nil, **more)
        text = decode(slice(from, to))
        return unless text.match?(/\p{L}/)

        @keys ||= Hash.new(0)
        id = (@keys[key] += 1) > 1 ? "#{key}##{@keys[key]}" : key
        place_text(id, from, to, text, key: key, note: note, limit: limit, **more) { |done| encoded(done) }
      end

      def decode(raw) = raw
      def encoded(text) = text.gsub(/\s*\n\s*/, " ")
    end
  end
end
