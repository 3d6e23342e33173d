# Texts held in memory that can be looked up like those of a translation memory.
# Answers what Lookup asks of a memory.
module Glossema
  module Matching
    class Pool
      # So many of the likeliest are offered, and so many are looked at for them.
      OFFERED = 30
      LOOKED_AT = 1500
      # How often pieces are shared and where stand in one number, as numbers are sorted faster than pairs.
      PLACE_BITS = 32

      # language_pair: [source tag, target tag]
      def initialize(language_pair)
        @language_pair = language_pair
        @contents, @targets, @attributes, @units, @signatures, @places = [], [], [], [], [], {}
        @postings = Hash.new { |all, gram| all[gram] = [] }
      end

      attr_reader :language_pair

      def id = nil
      def name = nil
      def penalty = 0

      # Takes in a Content; the same one again changes nothing. A text is its own translation where none is
      # given.
      def add(content, target: content, attributes: {})
        written = content.written
        return if @places.key?(written)

        place = @places[written] = @contents.size
        entry = Grams.entry(content.text)
        @contents << content
        @targets << target
        @attributes << attributes
        @signatures << entry.signature
        entry.grams.unpack("L*").each { |gram| @postings[gram] << place }
      end

      def candidates(units, content:, **)
        own = @places[content.written]
        yield candidate(own, nil) if own
        words, marks = Grams.of_units(units)
        likeliest(words, marks).each { |guess, place| yield candidate(place, guess) unless place == own }
      end

      private

      def candidate(place, guess)
        content = @contents[place]
        units = @units[place] ||= Score.units(content)
        Candidate.new(
          id: place,
          source: content,
          target: @targets[place],
          attributes: @attributes[place],
          guess: guess,
          known_units: units
        )
      end

      # [about what score, place] of the texts that share most pieces with these words, the likeliest first.
      # Short texts are told apart by their letters, of which a guess knows nothing.
      def likeliest(words, marks)
        own = words.size > Grams::SHORT ? Grams.parse(Grams.signature(words, marks)) : nil
        guessed = sharing(words).map { |place| [own && Grams.likeness(own, @signatures[place]), place] }
        own ? guessed.sort_by { |guess, place| [-guess, place] } : guessed
      end

      # The places of those that share most pieces, the rarest pieces read first.
      def sharing(words)
        found, left = [], LOOKED_AT
        lists = Grams.all(words).filter_map { |gram| @postings[gram] if @postings.key?(gram) }
        lists.sort_by(&:size).each do |list|
          break if (left -= list.size).negative? && found.size >= OFFERED

          found.concat(list)
        end
        found
          .tally
          .map { |place, shared| (shared << PLACE_BITS) - place }
          .max(OFFERED)
          .map { |one| -one & ((1 << PLACE_BITS) - 1) }
      end
    end
  end
end
