# WebVTT: the text of each cue; header, notes, styles, regions, times and settings stay, markup is codes.
require "glossema/formats/timed/subrip"

module Glossema
  module Formats
    class Webvtt < Subrip
      Formats.announce(self, rank: 50)

      NAME = "WebVTT".freeze
      EXTENSIONS = %w[vtt].freeze
      MEDIA_TYPE = "text/vtt".freeze
      ONE_TIME = /-?(?:\d{1,}:)?\d{1,2}:\d{1,2}(?:[.,]\d{1,3})?/
      TIME = /#{ONE_TIME}[ \t]*-->[ \t]*(?:#{ONE_TIME})?/
      NO_CUES = /^(?:WEBVTT|NOTE|STYLE|REGION)\b.*?(?=(?:\r\n|\n|\r)[ \t]*(?:\r\n|\n|\r)|\z)/m
      # An id, times, settings.
      HEAD = /\A(?:[^\r\n]*(?:\r\n|\n|\r))?[ \t]*(#{TIME})([^\r\n]*)(?:\r\n|\n|\r)/
      CLOSES = /(?:\r\n|\n|\r)[ \t]*(?:\r\n|\n|\r)/
      STYLE = %r{</?(?:[biuvc]|ruby|rt|lang)\b[^<>]*>|<(?:\d+:)?\d{2}:\d{2}\.\d{3}>|&(?:lrm|rlm);}i

      def self.recognises?(bytes, name)
        EncodedText.text?(bytes) &&
          (EncodedText.head(bytes, 100).match?(/\AWEBVTT(?:[ \t\r\n]|\z)/) || ending?(name))
      end

      private

      def scan
        number, at = 0, 0
        @text
          .split(/((?>\r\n|\n|\r)[ \t]*(?:(?>\r\n|\n|\r)[ \t]*)+)/)
          .each do |block|
            from, at = at, at + block.bytesize
            if block.match?(/\A(?:WEBVTT|NOTE|STYLE|REGION)\b/) ||
                !(match = block.match(HEAD))
              next
            end

            number += 1
            start = from + match[0].bytesize
            text = slice(start, at)
            location = self.class.location(number, match[1], Timing::Placement.of_settings(match[2]))
            cue_locations << location
            next if text.strip.empty?

            take(
              "c#{number}",
              start,
              at - text[/(?<!\s)\s*\z/].bytesize,
              location,
              STYLE
            )
          end
        damaged("no-cue") if number.zero? && !@text.match?(/\AWEBVTT/)
      end

      # An empty line would end the cue.
      def lines(text) = text.gsub(/[ \t]*\n\s*/, line_end)

      def take(id, from, to, location, pattern)
        super
        unit = @places.last&.unit
        return unless unit&.id == id

        unit.content =
          Content.new(unit.content.items.map { |item| item.is_a?(String) ? Markup.decode(item, true) : item })
        write = @places.last.write
        @places.last.write = ->(target) do
          write.call(Content.new(target.items.map { |item| item.is_a?(String) ? Markup.escape(item) : item }))
        end
      end
    end
  end
end
