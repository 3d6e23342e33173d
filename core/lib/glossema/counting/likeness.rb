# Likeness inside the files: each text is compared with those before it as if they were in a memory.
module Glossema
  module Counting
    module Likeness
      KNOWN = %w[context exact repetition].freeze

      module_function

      # contents: array of Content in order, over the whole counted set; bands: the band of each as
      # Bands.assign answers it; language_pair: [source tag, target tag]. Returns the band of each as it would
      # be with what stands before it: the better of the two.
      def bands(contents, bands, language_pair)
        pool = Matching::Pool.new(language_pair)
        lookup = Matching::Lookup.new([pool])
        contents.zip(bands).map do |content, band|
          better = KNOWN.include?(band) ? band : best(band, inside(lookup, content, language_pair))
          pool.add(content)
          better
        end
      end

      def inside(lookup, content, language_pair)
        source, target = language_pair
        query = Matching::Query.new(content: content, source_lang: source, target_lang: target)
        match = lookup.matches(query, threshold: 50, limit: 1).first
        match ? Bands.for_score(match.score) : "new"
      end
      private_class_method :inside

      def best(one, other) = [one, other].min_by { |band| Bands::NAMES.index(band) }
      private_class_method :best
    end
  end
end
