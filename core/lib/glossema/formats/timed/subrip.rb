# SubRip: the text of each cue; numbers, times and positions stay, styles and line breaks are codes.
module Glossema
  module Formats
    class Subrip < TextFile
      Formats.announce(self, rank: 51)

      NAME = "SubRip".freeze
      EXTENSIONS = %w[srt].freeze
      MEDIA_TYPE = "application/x-subrip".freeze
      DEFAULTS = { "encoding" => "" }.freeze
      TIME = /\d{1,3}:\d{2}:\d{2}[,.]\d{1,3}\s*-->\s*\d{1,3}:\d{2}:\d{2}[,.]\d{1,3}/
      STYLE = %r!</?(?:[biu]|font)\b[^>]*>|\{\\[^}]*\}|\{/?[biuy]:?[^}]*\}|\r\n|\n|\r!i

      def self.recognises?(bytes, name)
        EncodedText.text?(bytes) &&
          (
            ending?(name) ||
              EncodedText.head(bytes, 2000).match?(/\A\s*\d+\s*?\r?\n\d{1,3}:\d{2}:\d{2},\d{1,3}\s*-->/)
          )
      end

      def preview
        "<table class=\"cues\">" \
"#{units.map { |unit|
  "<tr><th>#{Glossema::Html.escape(unit.path.sub(/\Acue \d+ · /,
    ""))}</th><td>#{yield unit}</td></tr>"
}.join}</table>"
      end

      private

      def scan
        scanner, cues = StringScanner.new(@text), []
        while scanner.skip_until(TIME)
          time, starts = scanner.matched, scanner.pos - scanner.matched_size
          scanner.skip(/[^\r\n]*(?:\r\n|\n|\r|\z)/)
          cues << [time.gsub(/\s+/, " ").sub("-->", "→"), starts, scanner.pos]
        end
        damaged("no-cue") if cues.empty? && @text.match?(/\S/)
        cues.each_with_index do |(time, _, from), index|
          # The number of the next cue stands on a line of its own before its time.
          raw = slice(from, index + 1 < cues.size ? cues[index + 1][1] : @text.bytesize)
          raw = raw.sub(/(?:\A|(?<=[\r\n]))[ \t]*\d+[ \t]*(?:\r\n|\n|\r)[ \t]*\z/, "") if index + 1 <
            cues.size
          next if raw.strip.empty?

          start = from + raw[/\A\s*/].bytesize
          take("c#{index + 1}", start, start + raw.strip.bytesize, "cue #{index + 1} · #{time}", STYLE)
        end
      end

      def take(id, from, to, path, pattern)
        content, raws = Placeholders.read(slice(from, to), pattern)
        content =
          Content.new(
            content.items.map do |item|
              next item if item.is_a?(String) || !item.alone?

              if raws[item.key].match?(/\A[\r\n]+\z/)
                item.with(type: "break", display: "line break", equiv: "\n", wrap: "\n")
              else
                item.with(type: "markup")
              end
            end
          )
        return if content.blank?

        place(id, from, to, content, block: "cue", path: path, whole: true) do |target|
          Placeholders.write(target, raws) { |text| text.gsub(/\s*\n\s*/, line_end) }
        end
      end
    end
  end
end
