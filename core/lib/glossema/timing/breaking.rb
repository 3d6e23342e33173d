# A content with inline codes broken into lines: the codes stay at their words.
module Glossema
  module Timing
    class Breaking
      # breaks: LineBreaks.
      def initialize(breaks)
        @breaks = breaks
      end

      # content: of a cue → [Content …], best first, broken with "\n".
      def variants(content)
        flat = Content.new(content.items.map { |item|
          item.is_a?(String) ? item.gsub(/\s*\n\s*/, " ") : item
        })
        text = flat.items.grep(String).join
        words = text.split(/[ \t\n]+/).reject(&:empty?)
        @breaks.best(words.join(" ")).map { |way| broken(flat, places(way)) }
      end

      private

      # After how many words a line ends.
      def places(way)
        way.lines(chomp: true)[0...-1].each_with_object([]) do |line, ends|
          ends << (ends.last.to_i + line.split.size)
        end
      end

      # The space after so many words becomes a line break.
      def broken(content, ends)
        word, inside = 0, false
        Content.new(content.items.map { |item|
          next item unless item.is_a?(String)

          item.gsub(/[ \t]+|[^ \t]+/) do |run|
            blank = run.match?(/\A[ \t]/)
            word += 1 if !blank && !inside
            inside = !blank
            blank && ends.include?(word) ? "\n" : run
          end
        })
      end
    end
  end
end
