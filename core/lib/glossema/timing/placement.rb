# Where a cue stands on the picture, in words: "top", "middle", "left", "top right" …; nil where it is below
# and in the middle, as most are.
module Glossema
  module Timing
    module Placement
      # Numbers of a keypad, as SubRip’s tag {\an8} has them.
      KEYPAD_ROWS = { "7" => "top", "8" => "top", "9" => "top", "4" => "middle", "5" => "middle",
                      "6" => "middle" }.freeze
      KEYPAD_COLUMNS = { "1" => "left", "4" => "left", "7" => "left", "3" => "right", "6" => "right",
                         "9" => "right" }.freeze
      SIDES = { "start" => "left", "left" => "left", "end" => "right", "right" => "right" }.freeze
      # Of the picture’s height, from above, in percent; below the second it is usual.
      UPPER, LOWER = 34, 67

      module_function

      # text: of a SubRip cue.
      def of_tag(text)
        number = text[/\{\\an([1-9])\}/, 1]
        words(KEYPAD_ROWS[number], KEYPAD_COLUMNS[number])
      end

      # settings: what follows the times of a WebVTT cue ("line:0 align:start").
      def of_settings(settings)
        words(row(settings[/\bline:(-?[\d.]+%?)/, 1]), SIDES[settings[/\balign:(\w+)/, 1]])
      end

      # align: tts:displayAlign and tts:textAlign of TTML.
      def of_align(display, text)
        words({ "before" => "top", "center" => "middle" }[display], SIDES[text])
      end

      def words(*found) = found.compact.join(" ").then { |text| text unless text.empty? }

      # A percentage, or a line counted from above (from below where it is negative).
      def row(line)
        return if line.nil? || line.start_with?("-")
        return (line.to_f < 3 ? "top" : nil) unless line.end_with?("%")

        share = line.to_f
        share < UPPER ? "top" : ("middle" if share < LOWER)
      end
    end
  end
end
