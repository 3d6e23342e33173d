# The terms of termbases as checks ask for them: found in the source, looked for in the target.
module Glossema
  module Checks
    class Vocabulary
      # entries: array of Terms::Entry; languages: tags.
      def self.of(entries, source_lang, target_lang) =
        new([Terms::Finder.new(source_lang, entries)], [Terms::Finder.new(target_lang, entries)], target_lang)

      # source, target: arrays of Terms::Finder, one for each termbase; entries of both are told by their ids,
      # or are the same objects.
      def initialize(source, target, target_lang)
        @source, @target, @target_lang = source, target, target_lang
      end

      # [Terms::Found …]
      def in_source(text) = @source.flat_map { |finder| finder.find(text) }

      # The terms of an entry in the target language that may be used, the best first.
      def usable(entry)
        (@usable ||= {}.compare_by_identity)[entry] ||=
          entry.in(@target_lang).flat_map(&:terms).select(&:usable?).sort_by(&:rank)
      end

      # Is one of them in the text, inflected or as part of a longer word?
      def translated?(entry, text)
        return true if in_target(text).any? { |found| same?(found.entry, entry) && found.term.usable? }

        folded = text.downcase
        usable(entry).any? { |term| folded.include?(stem(term.written.downcase)) }
      end

      # [[Terms::Found in the target, its entry] …] of terms not to be used, of concepts in the source.
      def forbidden(source, target)
        concepts = in_source(source).map(&:entry)
        in_target(target).filter_map do |found|
          next if found.term.usable?

          [found, found.entry] if concepts.any? { |entry| same?(entry, found.entry) }
        end
      end

      private

      def in_target(text) = @target.flat_map { |finder| finder.find(text) }
      def same?(one, other) = one.equal?(other) || (!one.id.nil? && one.id == other.id)

      # A longer word may end otherwise.
      def stem(text) = text.length > 5 ? text[0..-2] : text
    end
  end
end
