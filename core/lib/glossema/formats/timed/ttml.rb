# TTML: XML whose timed paragraphs are cues. Times may be clocks, counts of seconds, frames or ticks, and are
# counted from the beginning of what stands around them.
module Glossema
  module Formats
    class Ttml < Xml
      Formats.announce(self, rank: 31)

      NAME = "TTML".freeze
      EXTENSIONS = %w[ttml dfxp].freeze
      MEDIA_TYPE = "application/ttml+xml".freeze
      # retimed: edits of Timing::Retiming.
      DEFAULTS = Xml::DEFAULTS.merge("retimed" => Inner.new([])).freeze

      def self.recognises?(bytes, _name)
        return false unless EncodedText.text?(bytes)

        head = EncodedText.head(bytes, 4000)
        head.match?(/<(?:\w+:)?tt[\s>]/) && head.match?(%r{http://www\.w3\.org/(?:\d+/\d+|ns)/ttml})
      end

      # Of all cues in order, also of those without text, which are no units.
      def cue_locations = @cue_locations ||= []

      private

      def prepared(text)
        edits = @options["retimed"]
        return text if edits.empty?

        # Times inside of others are counted from there.
        raise Refused.new("cue-within",
          name: @name) if text.match?(/<(?:\w+:)?(?:body|div)\b[^>]*\bbegin\s*=/)

        Timing::RetimingXml.new.apply(text, edits).tap { |fresh| @bytes = encode(fresh) }
      end

      def location(node, context)
        return super unless cue?(node)

        @cues = @cues.to_i + 1
        start, finish = times(node).map { |time| time && Timing::Cue.clock(time) }
        location = Location.new("cue", cue: @cues, start: start, end: finish, placement: placement(node))
        cue_locations << location
        location
      end

      def block_name(node, context) = cue?(node) ? "cue" : super
      def facts(node) = cue?(node) ? super.merge(whole: true) : super

      # Line breaks of a cue are text.
      def content_of(run, context)
        content = super
        return content unless context.block == "cue"

        items = content.items.map { |item| item.is_a?(Code) && item.display == "line break" ? "\n" : item }
        Content.new(Content.new(items).items.map { |item|
          item.is_a?(String) ? item.gsub(/[ \t]*\n[ \t]*/, "\n") : item
        }).renumber
      end

      def encoded(text, preserve)
        text.split("\n", -1).map { |line| super(line, preserve) }.join(line_break)
      end

      # As the file writes one.
      def line_break
        @line_break ||= @text[%r{<(?:\w+:)?br\s*/>}] || @text[/<(\w+:)?tt\b/, 1].then { |one| "<#{one}br/>" }
      end

      def cue?(node) = node.local == "p" && %w[begin end dur].any? { |name| node[name] }

      def placement(node)
        region = regions[node["region"] || node.parent["region"]]
        Timing::Placement.of_align(*%w[displayAlign textAlign].map { |name|
          styled(node, name) || styled(region, name)
        })
      end

      def styled(node, name)
        node&.attributes&.find { |key, _| key.split(":").last == name }&.last&.first
      end

      # {id => element}
      def regions
        @regions ||= tree.every("region").to_h { |one| [one["xml:id"], one] }
      end

      # [start, end] in seconds, nil where a time is none.
      def times(node)
        from = begin_of(node.parent)
        start = node["begin"] ? seconds(node["begin"]) : 0
        length = node["dur"] && seconds(node["dur"])
        finish = node["end"] ? seconds(node["end"]) : (start && length && (start + length))
        [start, finish].map { |time| time && (from + time) }
      end

      def begin_of(node)
        return 0 unless node&.element?

        (node["begin"] ? seconds(node["begin"]) || 0 : 0) + begin_of(node.parent)
      end

      UNITS = { "h" => 3600, "m" => 60, "s" => 1, "ms" => Rational(1, 1000) }.freeze

      # "00:00:01.5", "00:00:01:12" (frames), "1.5s", "36f", "10000000t" → Rational seconds, or nil.
      def seconds(text)
        if (match = text.match(/\A(\d+(?:\.\d+)?)(h|m|s|ms|f|t)\z/))
          return match[1].to_r * (UNITS[match[2]] || (1 / rate(match[2])))
        end

        clock, frames = text.match(/\A(\d+:\d{2}:\d{2})(?::(\d+))?\z/)&.captures
        whole = Timing::Cue.seconds(clock || text)
        whole && (whole + (frames.to_i / rate("f")))
      end

      # Frames or ticks a second, as the root says.
      def rate(unit)
        frames = parameter("frameRate", USUAL_RATE) * multiplier
        unit == "f" ? frames : parameter("tickRate", frames)
      end
      USUAL_RATE = 30r

      def parameter(name, otherwise)
        found = tree.elements.first.attributes.find { |key, _| key.split(":").last == name }
        number = found ? found.last.first.to_r : 0
        number.positive? ? number : otherwise
      end

      # "1000 1001" for the rates of television.
      def multiplier
        raw = @text[/frameRateMultiplier\s*=\s*["']([\d\s]+)["']/, 1].to_s.split.map(&:to_r)
        raw.size == 2 && raw.all?(&:positive?) ? raw[0] / raw[1] : 1
      end
    end
  end
end
