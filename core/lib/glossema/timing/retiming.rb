# Times of subtitles changed in the text of their file: all that is not changed stays as it was written. Cues
# are split, joined and numbered anew where the file numbers them.
module Glossema
  module Timing
    class Retiming
      # Where a cue stands in a text: from…to of its number (nil without one), of its times (finish is nil
      # without an end), of its text.
      Spot = Struct.new(:number, :start, :finish, :body, keyword_init: true)
      TAG_OR_WORD = /<[^>]*>|\{[^}]*\}|\s+|[^\s<{]+|[<{]/

      # one_time: the format's pattern of a time; closes: what ends the text of a cue besides the next one;
      # passes_over: what holds no cues, such as notes.
      def initialize(one_time, closes: nil, passes_over: nil)
        @one_time, @closes, @passes_over = one_time, closes, passes_over
      end

      # edits, done one after the other; cues count from 1, seconds are numbers or decimal strings:
      #   {"act" => "times", "cue", "start" => seconds, "finish" => seconds}
      #   {"act" => "shift", "from" => cue, "to" => cue, "by" => seconds}
      #   {"act" => "split", "cue", "at" => seconds, "gap" => seconds, "words" => how many stay}
      #   {"act" => "join", "cue"}, with the next one
      # Returns the text. Raises Refused "cue-unknown" where there is no such cue, "cue-negative" for times
      # before the beginning, "cue-act".
      def apply(text, edits)
        # By bytes: places in them are found at once, however long the file is.
        edits.reduce(text.b) { |known, edit| send_to(known, edit) }.force_encoding(text.encoding)
      end

      # → [Spot …]
      def spots(text)
        looked_at = @passes_over ? text.gsub(@passes_over) { |part| " " * part.length } : text
        found = looked_at.to_enum(:scan,
          /(#{@one_time})[ \t]*-->[ \t]*(#{@one_time})?[^\r\n]*(?:\r\n|\n|\r|\z)/)
          .map {
          Regexp.last_match
        }
        found.each_with_index.map do |match, index|
          number = number_before(text, match.begin(0))
          following = found[index + 1]
          ends = if following
            (number_before(text,
              following.begin(0)) || following.offset(0)).first
          else
            text.length
          end
          Spot.new(number: number, start: match.offset(1), finish: match[2] && match.offset(2),
            body: [match.end(0), match.end(0) + body_length(text[match.end(0)...ends])])
        end
      end

      private

      def send_to(text, edit)
        spots = spots(text)
        case edit.fetch("act")
        when "times" then timed(text, spot(spots, edit["cue"]), edit)
        when "shift" then shifted(text, spots, edit)
        when "split" then parted(text, spots, edit)
        when "join" then joined(text, spots, edit)
        else raise Refused.new("cue-act", act: edit["act"])
        end
      end

      def spot(spots, number)
        at = number.to_i - 1
        raise Refused.new("cue-unknown", number: number) unless at.between?(0, spots.size - 1)

        spots[at]
      end

      def timed(text, spot, edit)
        changes = [[spot.start, edit["start"]], [spot.finish || spot.start, edit["finish"]]]
        put(text, changes.select(&:last).map { |place, seconds|
          [place, like(text[place[0]...place[1]], seconds)]
        })
      end

      def shifted(text, spots, edit)
        by = seconds(edit.fetch("by"))
        range = (edit.fetch("from").to_i - 1)..(edit.fetch("to").to_i - 1)
        places = spots[range].to_a.flat_map { |spot| [spot.start, spot.finish] }.compact
        put(text, places.map { |place| [place, moved(text[place[0]...place[1]], by)] })
      end

      def moved(written, by) = like(written, Cue.seconds(padded(written)) + by)

      def parted(text, spots, edit)
        known = spot(spots, edit["cue"])
        raise Refused.new("cue-unknown", number: edit["cue"]) unless known.finish

        at, gap = seconds(edit.fetch("at")), seconds(edit.fetch("gap", 0))
        times = text[known.start[0]...known.body[0]]
        first, second = words_apart(text[known.body[0]...known.body[1]], edit.fetch("words").to_i)
        written = ->(time) { like(text[known.start[0]...known.start[1]], time) }
        later = times.sub(text[known.start[0]...known.start[1]]) { written[at + gap] }
        number = "#{edit["cue"].to_i + 1}#{line_end(text)}" if known.number
        fresh = put(text, [[known.finish, written[at]],
                           [known.body, "#{first}#{line_end(text) * 2}#{number}#{later}#{second}"]])
        known.number ? numbered(fresh, edit["cue"].to_i + 1) : fresh
      end

      def joined(text, spots, edit)
        known, following = spot(spots, edit["cue"]), spot(spots, edit["cue"].to_i + 1)
        bodies = [known, following].map { |one| text[one.body[0]...one.body[1]] }
        ended = following.finish && text[following.finish[0]...following.finish[1]]
        changes = [[[known.body[0], following.body[1]], bodies.reject(&:empty?).join(line_end(text))]]
        changes << [known.finish, ended] if ended && known.finish
        fresh = put(text, changes)
        known.number ? numbered(fresh, edit["cue"].to_i) : fresh
      end

      # Numbers from a cue on, where the file numbered them one by one.
      def numbered(text, from)
        spots = spots(text)
        changes = spots.each_with_index.filter_map do |spot, index|
          next if spot.number.nil? || index + 1 < from

          [spot.number, text[spot.number[0]...spot.number[1]].sub(/\d+/, (index + 1).to_s)]
        end
        put(text, changes)
      end

      # changes: [[[from, to], text], …]
      def put(text, changes)
        changes.sort_by { |(from, _), _| -from }.reduce(text.dup) do |known, ((from, to), fresh)|
          known[0...from] + fresh + known[to..]
        end
      end

      # The line before, where it holds a number only.
      def number_before(text, at)
        from = [at - LONGEST_NUMBER, 0].max
        line = text[from...at].match(/^[ \t]*\d+[ \t]*(?:\r\n|\n|\r)[ \t]*\z/)
        line && [from + line.begin(0), from + line.end(0)]
      end
      LONGEST_NUMBER = 40

      def body_length(raw)
        raw = raw[0...(raw.index(@closes) || raw.length)] if @closes
        raw.rstrip.length
      end

      # After so many words, tags passed over.
      def words_apart(body, count)
        first, rest = +"", body.scan(TAG_OR_WORD)
        until rest.empty? || count.zero?
          part = rest.shift
          count -= 1 unless part.match?(/\A(?:<[^>]*>|\{[^}]*\}|\s+)\z/)
          first << part
        end
        first << rest.shift while rest.first&.match?(%r{\A</})
        [first.rstrip, rest.join.lstrip]
      end

      def line_end(text) = text[/\r\n|\n|\r/] || "\n"
      def seconds(given) = Rational(given.to_s)

      # A time written as another one is: with hours where that has them or they are needed, comma or point.
      def like(written, given)
        time = seconds(given)
        raise Refused.new("cue-negative") if time.negative?

        hours, minutes, rest = Cue.clock(time).split(":")
        mark = written[/[.,]/] || (written.count(":") > 1 ? "," : ".")
        head = written.count(":") > 1 || hours.to_i.positive? ? "#{hours}:#{minutes}" : minutes
        "#{head}:#{rest.tr(".", mark)}"
      end

      def padded(written) = written.tr(",", ".")
    end
  end
end
