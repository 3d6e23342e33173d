# The location of a unit in its file, as data that JSON can hold, and its text in the language of the user.
module Glossema
  module Location
    FOLDER = File.join(ROOT, "data/locations")
    # What is appended to the text of a location, in this order.
    PARTS = %w[row column].freeze
    CUE_IN_WORDS = /\Acue (\d+) · (\S+) → (\S+)(?: · ([a-z ]+))?\z/
    private_constant :PARTS, :CUE_IN_WORDS

    class << self
      # A callable that returns the texts, {kind => text}; without one they are the core’s, in English.
      attr_writer :texts_source

      # kind: a key of data/locations; details: what its text names, and
      #   number: which one of its kind;
      #   row, column: of the cell in a table;
      #   within: the Location around it.
      # Returns a Hash of plain values with String keys, frozen.
      def new(kind, **details)
        { "kind" => kind, **details.compact.transform_keys(&:to_s) }.freeze
      end

      # A name from the file itself: a key, the name of an element.
      def named(name) = new("name", name: name.to_s)

      # A block of a text ("heading-2" is a "heading"), and which one it is.
      def block(block, number = nil) = new(block.sub(/-\d\z/, ""), number: number)

      # A cell of a table at a location.
      def cell(location, row, column) = location.merge("row" => row, "column" => column).freeze

      # The text of a Location, such as "table 2 · row 3 · column 1". Raises KeyError for an unknown kind.
      def text(location)
        kind = location.fetch("kind")
        own = format(texts.fetch(kind), Hash.new("").merge(location.transform_keys(&:to_sym)))
        number = location["number"] || location["cue"]
        own = "#{own} #{number}" if number
        around = location["within"] && text(location["within"])
        [around, own, *cell_of(location), (times(location) if kind == "cue")].compact.join(" · ")
      end

      # The times of a cue as its file writes them, and its placement: "00:00:01,000 → ? · top".
      def times(location)
        shown = location.values_at("start", "end").map { |time| time || "?" }.join(" → ")
        where = location["placement"].to_s.split.map { |word| texts.fetch(word) }
        [shown, where.join(" ")].reject(&:empty?).join(" · ")
      end

      # Is this a location that text accepts? A shape for DataShape.
      def fits?(value)
        return false unless DataShape.fits?(:object, value)

        within, plain = value["within"], value.except("within")
        plain.values.all? { |one| one.is_a?(Integer) || one.is_a?(String) } &&
          (within.nil? || fits?(within)) && known?(plain)
      end

      # The location that earlier versions stored as English text.
      def parse(words)
        cue, start, finish, placement = words.match(CUE_IN_WORDS)&.captures
        return named(words) unless cue

        times = [start, finish].map { |time| time unless time == "?" }
        new("cue", cue: cue.to_i, start: times.first, end: times.last, placement: placement)
      end

      # All texts of the core's own language, {kind => text}.
      def catalogue
        @catalogue ||= YAML.load_file(File.join(FOLDER, "en.yml")).fetch("en").fetch("locations")
      end

      private

      def known?(location)
        text(location).is_a?(String)
      rescue KeyError
        false
      end

      def texts = @texts_source ? @texts_source.call : catalogue

      def cell_of(location)
        PARTS.filter_map { |name| "#{texts.fetch(name)} #{location[name]}" if location[name] }
      end
    end
  end
end
