# SubRip: the text of each cue; numbers, times and positions stay, styles are codes, line breaks are text.
module Glossema
  module Formats
    class Subrip < TextFile
      Formats.announce(self, rank: 51)

      NAME = "SubRip".freeze
      EXTENSIONS = %w[srt].freeze
      MEDIA_TYPE = "application/x-subrip".freeze
      # retimed: edits of Timing::Retiming.
      DEFAULTS = { "encoding" => "", "retimed" => Inner.new([]) }.freeze
      # What ends the text of a cue besides the next one.
      CLOSES = nil
      NO_CUES = nil
      ONE_TIME = /-?\d{1,3}:\d{1,2}:\d{1,2}(?:[,.]\d{1,3})?/
      # The end may be missing.
      TIME = /#{ONE_TIME}[ \t]*-->[ \t]*(?:#{ONE_TIME})?/
      STYLE = %r!</?(?:[biu]|font)\b[^<>]*>|\{\\[^{}]*\}|\{/?[biuy]:?[^{}]*\}!i

      def self.recognises?(bytes, name)
        EncodedText.text?(bytes) &&
          (
            ending?(name) ||
              EncodedText.head(bytes, 2000).match?(/\A\s*\d+\s*?\r?\n\d{1,3}:\d{2}:\d{2},\d{1,3}\s*-->/)
          )
      end

      # times: the line of times as the file writes it, where the end may be missing.
      def self.location(number, times, placement)
        start, finish = times.split("-->", -1).map { |one| one.strip.empty? ? nil : one.strip }
        Location.new("cue", cue: number, start: start, end: finish, placement: placement)
      end

      # Of all cues in order, also of those without text, which are no units.
      def cue_locations = @cue_locations ||= []

      def preview
        "<table class=\"cues\">" \
"#{units.map { |unit|
  "<tr><th>#{Glossema::Html.escape(Location.times(unit.location))}</th><td>#{yield unit}</td></tr>"
}.join}</table>"
      end

      private

      def prepared(text)
        edits = @options["retimed"]
        return text if edits.empty?

        own = self.class
        fresh = Timing::Retiming.new(own::ONE_TIME, closes: own::CLOSES, passes_over: own::NO_CUES)
          .apply(text, edits)
        @bytes = encode(fresh)
        fresh
      end

      def scan
        scanner, cues = StringScanner.new(@text), []
        while scanner.skip_until(TIME)
          time, starts = scanner.matched, scanner.pos - scanner.matched_size
          scanner.skip(/[^\r\n]*(?:\r\n|\n|\r|\z)/)
          cues << [time, starts, scanner.pos]
        end
        damaged("no-cue") if cues.empty? && @text.match?(/\S/)
        cues.each_with_index do |(time, _, from), index|
          # The number of the next cue stands on a line of its own before its time.
          raw = slice(from, index + 1 < cues.size ? cues[index + 1][1] : @text.bytesize)
          raw = raw.sub(/(?:\A|(?<=[\r\n]))[ \t]*\d+[ \t]*(?:\r\n|\n|\r)[ \t]*\z/, "") if index + 1 <
            cues.size
          location = self.class.location(index + 1, time, Timing::Placement.of_tag(raw))
          cue_locations << location
          next if raw.strip.empty?

          start = from + raw[/\A\s*/].bytesize
          take("c#{index + 1}", start, start + raw.strip.bytesize, location, STYLE)
        end
      end

      def take(id, from, to, location, pattern)
        content, raws = Placeholders.read(slice(from, to).gsub(/\r\n?/, "\n"), pattern)
        content = Content.new(content.items.map { |item| styled(item) })
        return if content.blank?

        place(id, from, to, content, block: "cue", location: location, whole: true) do |target|
          Placeholders.write(target, raws) { |text| lines(text) }
        end
      end

      # As it is shown on the film: colours too.
      def styled(item)
        return item if item.is_a?(String) || item.close?
        return item.with(type: "markup") if item.alone?

        colour = item.wrap.to_s[/\A<font[^>]*color\s*=\s*["']?(#?\w+)/i,
          1] || item.wrap.to_s[/\A<c\.(\w+)/, 1]
        colour ? item.with(css: "color-#{colour.delete("#").downcase}") : item
      end

      # As the file ends its lines.
      def lines(text) = text.gsub(/[ \t]*\n[ \t]*/, line_end)
    end
  end
end
