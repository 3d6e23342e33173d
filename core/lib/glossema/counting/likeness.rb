# Likeness inside the files: each text is compared with those before it as if they were in a memory.
module Glossema
  module Counting
    module Likeness
      # The lowest score that would put a segment into a better band; those of other bands cannot be in one.
      BETTER = { "85-94" => 95, "75-84" => 85, "50-74" => 75, "new" => 50 }.freeze

      module_function

      # contents: array of Content in order, over the whole counted set; bands: the band of each as
      # Bands.assign answers it, nil of those that are not asked for; language_pair: [source tag, target tag].
      # Returns the band of each as it would be with what stands before it: the better of the two.
      def bands(contents, bands, language_pair)
        pool = Matching::Pool.new(language_pair)
        lookup = Matching::Lookup.new([pool])
        contents.zip(bands).map do |content, band|
          better = BETTER.key?(band) ? inside(lookup, content, language_pair, band) : band
          pool.add(content)
          better
        end
      end

      def inside(lookup, content, language_pair, band)
        source, target = language_pair
        query = Matching::Query.new(content: content, source_lang: source, target_lang: target)
        match = lookup.best(query, Bands::FLOORS.keys.select { |floor| floor >= BETTER.fetch(band) })
        match ? Bands.for_score(match.score) : band
      end
      private_class_method :inside
    end
  end
end
