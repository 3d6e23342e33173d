# Finds the terms of one termbase in texts of one language: by tokens, longest first (brief: terms). Entries
# can be put in and taken out at any time.
module Glossema
  module Terms
    # A term found: from…to is its place in the text, in code points.
    Found = Struct.new(:from, :to, :term, :entry)

    class Finder
      # A term laid out for being found: the numbers of its words.
      Pattern = Struct.new(:words, :term, :entry)
      # What may follow some words that terms begin with, and the terms that end there.
      Node = Struct.new(:following, :patterns)

      # lang: of the texts; recognise: how terms are recognised that do not say it themselves.
      def initialize(lang, entries = [], recognise: "alike")
        @lang, @recognise = lang, recognise
        @vocabulary = Vocabulary.new(lang)
        @root = Node.new({}, [])
        @own = {}
        entries.each_with_index { |entry, index| put(entry.id || index, entry) }
      end

      # Takes an entry in under a key, in place of what was there; nil takes it out.
      def put(key, entry)
        @own.delete(key)&.each { |pattern| node(pattern).patterns.delete(pattern) }
        return unless entry

        made = entry.in(@lang).flat_map(&:terms).filter_map { |term| pattern(term, entry) }
        made.each { |pattern| node(pattern).patterns << pattern }
        @own[key] = made
      end

      # text → [Found …] in text order. Of matches that overlap the longer one is taken; what stands at the
      # same place is all answered.
      def find(text)
        tokens = Words.tokenize(text, @lang)
        numbers = tokens.map { |token| @vocabulary.ids(token.text) }
        all = tokens.each_index.flat_map { |at| starting(tokens, numbers, at) }
        longest(all)
      end

      private

      def pattern(term, entry)
        words =
          term.text.split(/\s+/).flat_map do |piece|
            star = piece.length > 1 && piece.end_with?("*")
            tokens = Words.tokenize(star ? piece.chomp("*") : piece, @lang)
            tokens.each_with_index.map { |token, index| [token.text, star && index == tokens.size - 1] }
          end
        return if words.empty?

        last = words.size - 1
        ids = words.each_with_index.map { |(word, star), index| number(word, star, index == last, term) }
        Pattern.new(ids, term, entry)
      end

      # A star says more than the term does, and the term more than the termbase. An ending that is left open
      # is that of the last word.
      def number(word, star, last, term)
        how = term.recognise || @recognise
        how = "exact" if how == "open" && !last
        how = "open" if star
        @vocabulary.id(Vocabulary::Word.new(word, how, term.cased || false))
      end

      # Where the words of a pattern lead.
      def node(pattern) =
        pattern.words.reduce(@root) { |node, word| node.following[word] ||= Node.new({}, []) }

      # The terms that begin at a token.
      def starting(tokens, numbers, at)
        found, nodes, last = [], [@root], at
        while last < tokens.size
          nodes = nodes.flat_map { |node| node.following.values_at(*numbers[last]).compact }
          break if nodes.empty?

          nodes.each do |node|
            node.patterns.each do |pattern|
              found << Found.new(tokens[at].from, tokens[last].to, pattern.term, pattern.entry)
            end
          end
          last += 1
        end
        found
      end

      # Of two terms of an entry at the same place one is enough.
      def longest(all)
        # A mark for each character that a longer one has taken.
        taken, covered = [], "\0" * all.map(&:to).max.to_i
        all.sort_by { |found| [found.from - found.to, found.from] }
          .slice_when { |one, other| one.from != other.from || one.to != other.to }
          .each do |same|
            from, to = same.first.from, same.first.to
            next if covered.byteslice(from...to).include?("\1")

            covered[from...to] = "\1" * (to - from)
            taken.concat(same.uniq { |found| found.entry.object_id })
          end
        taken.sort_by { |found| [found.from, found.to] }
      end
    end
  end
end
