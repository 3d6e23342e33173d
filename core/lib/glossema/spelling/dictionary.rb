# A spelling dictionary of one language, asked through Hunspell: is a word known, what was meant, what is it
# formed of.
module Glossema
  module Spelling
    class Dictionary
      FOLDERS = ["/usr/share/hunspell", "/usr/share/myspell/dicts"].freeze
      # Which region is taken for a language that does not name one we have.
      REGIONS = { "en" => "GB", "de" => "DE", "es" => "ES", "pt" => "PT", "sv" => "SE", "pl" => "PL" }.freeze
      # English of these regions is spelled as in the United States.
      AMERICAN = %w[US CA PH].freeze
      # So many answers are remembered.
      REMEMBERED = 50_000
      # Longer ones are no words.
      LONGEST = 60

      @known = {}
      @opening = Mutex.new

      class << self
        # The dictionary for a language tag, the same one each time; nil where none is installed.
        def for(tag)
          path = path(tag) or return
          @opening.synchronize { @known[path] ||= new(path) }
        end

        # Where the dictionary for a tag lies, without its ending; nil where none is installed.
        def path(tag)
          return unless Hunspell::THERE

          names(tag).product(FOLDERS).map { |name, folder| File.join(folder, name) }
            .find { |path| File.exist?("#{path}.aff") && File.exist?("#{path}.dic") }
        end

        private

        def names(tag)
          language = Languages.primary(tag)
          region = tag.to_s[/-([A-Z]{2})\b/, 1]
          region = "US" if language == "en" && AMERICAN.include?(region)
          others = FOLDERS.flat_map { |folder| Dir.children(folder).sort if File.directory?(folder) }.compact
          [
            region && "#{language}_#{region}",
            REGIONS[language] && "#{language}_#{REGIONS[language]}",
            language,
            *others.grep(/\A#{language}_[A-Z]{2}\.aff\z/).map { |name| name.delete_suffix(".aff") }
          ].compact
        end
      end

      # path: of the .aff and .dic files, without their endings.
      def initialize(path)
        @handle = Hunspell.create("#{path}.aff", "#{path}.dic")
        @encoding = Encoding.find(Hunspell.encoding(@handle).to_s.sub(/\AISO8859/, "ISO-8859"))
        @lock = Mutex.new
        @spelled, @suggested, @stemmed = {}, {}, {}
      end

      # Is this a word of the language, as it is written here?
      def known?(word)
        remember(@spelled, word) { ask(word, false) { |text| Hunspell.spell(@handle, text) != 0 } }
      end

      # What may have been meant, best first.
      def suggestions(word) = remember(@suggested, word) { list(:suggest, word) }

      # The words it may be a form of: "brakes" → ["brake"]. Empty for one that is not known.
      def stems(word) = remember(@stemmed, word) { list(:stem, word) }

      private

      def remember(table, word)
        @lock.synchronize do
          return table[word] if table.key?(word)

          table.clear if table.size >= REMEMBERED
          table[word] = yield
        end
      end

      # Yields the word as the dictionary writes it; answers `otherwise` for one it cannot write.
      def ask(word, otherwise)
        return otherwise if word.empty? || word.length > LONGEST || word.include?("\0")

        yield FFI::MemoryPointer.from_string(word.tr("’", "'").encode(@encoding).b)
      rescue EncodingError
        otherwise
      end

      def list(function, word)
        ask(word, []) do |text|
          FFI::MemoryPointer.new(:pointer) do |place|
            count = Hunspell.public_send(function, @handle, place, text)
            next [] if count < 1

            found = place.read_pointer.read_array_of_pointer(count)
            words = found.map { |one| one.read_string.force_encoding(@encoding).encode("UTF-8") }
            Hunspell.free_list(@handle, place, count)
            return words.uniq
          end
          []
        end
      end
    end
  end
end
