# The terms of termbases as checks ask for them: found in the source, looked for in the target.
module Glossema
  module Checks
    class Vocabulary
      # A term of the source and how it was put: entry: by what the concept is told; source: as it stands
      # there; span: its place; target: the term of the termbase that was used.
      Use = Struct.new(:entry, :source, :span, :target, keyword_init: true)

      # entries: array of Terms::Entry; languages: tags.
      def self.from_entries(entries, source_lang, target_lang) =
        new([Terms::Finder.new(source_lang, entries)], [Terms::Finder.new(target_lang, entries)], target_lang)

      # source, target: arrays of Terms::Finder, one for each termbase; entries of both are told by their ids,
      # or are the same objects.
      def initialize(source, target, target_lang)
        @source, @target, @target_lang = source, target, target_lang
      end

      # [Terms::Found …]
      def in_source(text) = remembered(:source, text) { @source.flat_map { |finder| finder.find(text) } }

      # The terms of an entry in the target language that may be used, the best first.
      def usable(entry)
        (@usable ||= {}.compare_by_identity)[entry] ||=
          entry.in(@target_lang).flat_map(&:terms).select(&:usable?).sort_by(&:rank)
      end

      # Is one of them in the text: inflected, as part of a longer word, or by the word that it is
      # about, alone or away from the others (la coppia, luce anteriore e posteriore)?
      def translated?(entry, text)
        return true if in_target(text).any? { |found| same?(found.entry, entry) && found.term.usable? }

        folded = text.downcase
        usable(entry).any? do |term|
          folded.include?(stem(term.written.downcase)) || apart?(term, text)
        end
      end

      # [[Terms::Found in the target, its entry] …] of terms not to be used, of concepts in the source.
      def forbidden(source, target)
        concepts = in_source(source).map(&:entry)
        in_target(target).filter_map do |found|
          next if found.term.usable?

          [found, found.entry] if concepts.any? { |entry| same?(entry, found.entry) }
        end
      end

      # [Use …] of the terms of a source that stand in its target with a term that may be used.
      def uses(source, target)
        in_source(source).filter_map do |found|
          used = in_target(target).find { |one| same?(one.entry, found.entry) && one.term.usable? } or next
          Use.new(entry: found.entry.id, source: source[found.from...found.to], span: [found.from, found.to],
            target: used.term.written)
        end
      end

      private

      def in_target(text) = remembered(:target, text) { @target.flat_map { |finder| finder.find(text) } }

      # Several checks ask for the same text one after the other.
      def remembered(side, text)
        @last ||= {}
        @last[side] = [text, yield] unless @last[side]&.first == text
        @last[side].last
      end

      def same?(one, other) = one.equal?(other) || (!one.id.nil? && one.id == other.id)

      # Languages that put what a term is about at its end.
      HEAD_LAST = %w[da de en fi hu ja ko nb nl nn no ru sv tr uk zh].freeze
      # Shorter words join the others only.
      CONTENT = 4

      def apart?(term, text)
        words = term.written.split.select { |word| word.length >= CONTENT }
        return false if words.empty?

        head = HEAD_LAST.include?(Languages.primary(@target_lang)) ? words.last : words.first
        word?(head, text)
      end

      def word?(word, text)
        alike = Terms::Alike.for(@target_lang)
        words = remembered(:words, text) { Terms::Words.tokenize(text, @target_lang).map(&:text) }
        words.any? { |one| alike.same?(one, word) }
      end

      # A longer word may end otherwise.
      def stem(text) = text.length > 5 ? text[0..-2] : text
    end
  end
end
