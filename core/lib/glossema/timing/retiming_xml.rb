# Times of TTML changed in the text of its file: values of begin and end; a paragraph is split into two of the
# same attributes, and two are joined with a line break between.
module Glossema
  module Timing
    class RetimingXml < Retiming
      PARAGRAPH = %r{<((?:\w+:)?p)\b([^>]*)>(.*?)</\1\s*>}m
      TIMED = /\b(?:begin|end|dur)\s*=/

      def initialize
        super(nil)
      end

      def spots(text)
        found = text.to_enum(:scan, PARAGRAPH).map {
          Regexp.last_match
        }.select { |match| match[2].match?(TIMED) }
        found.map do |match|
          Spot.new(number: nil, start: value(match, "begin"), finish: value(match, "end"),
            body: match.offset(3))
        end
      end

      private

      # from…to of an attribute's value, or nil.
      def value(match, name)
        found = match[2].match(/(?<![\w:])#{name}\s*=\s*["']([^"']*)["']/) or return
        found.offset(1).map { |at| match.begin(2) + at }
      end

      def spot(spots, number)
        super.tap { |found|
          raise Refused.new("cue-unknown", number: number) unless found.start && found.finish
        }
      end

      def parted(text, spots, edit)
        known = spot(spots, edit["cue"])
        at, gap = seconds(edit.fetch("at")), seconds(edit.fetch("gap", 0))
        first, second = words_apart(text[known.body[0]...known.body[1]], edit.fetch("words").to_i)
        opening = text[text.rindex("<", known.start[0])...known.body[0]]
        start, finish = [known.start, known.finish].map { |from, to| text[from...to] }
        later = opening.sub(start) { like(start, at + gap) }
        closing = "</#{opening[/[\w:]+/]}>"
        put(text, [[known.body, "#{first}#{closing}#{line_end(text)}#{later}#{second}"],
                   [known.finish, like(finish, at)]])
      end

      def joined(text, spots, edit)
        known, following = spot(spots, edit["cue"]), spot(spots, edit["cue"].to_i + 1)
        bodies = [known, following].map { |one| text[one.body[0]...one.body[1]] }
        put(text, [[[known.body[0], following.body[1]], bodies.join(line_break(text))],
                   [known.finish, text[following.finish[0]...following.finish[1]]]])
      end

      def line_break(text)
        text[%r{<(?:\w+:)?br\s*/>}] || text[/<(\w+:)?tt\b/, 1].then { |one| "<#{one}br/>" }
      end

      def moved(written, by)
        known = written.end_with?("s") && written.match?(/\A[\d.]+s\z/) ? written.to_r : Cue.seconds(written)
        raise Refused.new("cue-unknown", number: written) unless known

        like(written, known + by)
      end

      # A count of seconds stays one; all else becomes a clock.
      def like(written, given)
        time = seconds(given)
        raise Refused.new("cue-negative") if time.negative?
        return Cue.clock(time) unless written.match?(/\A[\d.]+s\z/)

        "#{format("%.3f", time).sub(/\.?0+\z/, "")}s"
      end
    end
  end
end
