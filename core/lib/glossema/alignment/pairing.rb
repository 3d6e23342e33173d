# Files of two languages paired: which is the translation of which, by name and by how long they are.

module Glossema
  module Alignment
    module Pairing
      # A file: its name, the primary language it is in, how many characters of text.
      Named = Struct.new(:name, :lang, :size, keyword_init: true)
      # So unlike names are no pair by name.
      UNLIKE = 0.45
      LENGTH_WEIGHT = 0.35
      # What is no name of its own: marks of languages, versions and the like.
      MARKS = /(?:\A|[^\p{L}])(?:[a-z]{2}(?:[-_][a-z]{2,4})?|en|eng|ita|deu|fra|final|v\d+)(?=\z|[^\p{L}])/i

      module_function

      # files: [Named …] → [[index of the source, index of the target], …]; source, target: primary
      # languages. What finds no partner is left out.
      def pairs(files, source, target)
        ones, others = [source, target].map { |lang| files.each_index.select { |at| files[at].lang == lang } }
        return [[ones.first, others.first]] if ones.size == 1 && others.size == 1

        nearest(files, ones.product(others))
      end

      # The nearest first, each file once.
      def nearest(files, pairs)
        near = pairs.map { |pair| [distance(*files.values_at(*pair)), pair] }
          .select { |far, _| far <= UNLIKE + LENGTH_WEIGHT }.sort
        near.each_with_object([]) { |(_, pair), found|
          found << pair if found.none? { |one, other| one == pair.first || other == pair.last }
        }.sort
      end
      private_class_method :nearest

      def distance(one, other)
        names = [one, other].map { |file| stem(file.name) }
        longest = names.map(&:size).max
        unlike = longest.zero? ? 0.0 : Letters.distance(*names).fdiv(longest)
        sizes = [one.size, other.size].map { |size| size + 1 }
        unlike + (LENGTH_WEIGHT * (1 - sizes.min.fdiv(sizes.max)))
      end
      private_class_method :distance

      def stem(name)
        File.basename(name, ".*").downcase.gsub(MARKS, " ").gsub(/[^\p{L}\p{N}]+/, " ").strip
      end
      private_class_method :stem
    end
  end
end
