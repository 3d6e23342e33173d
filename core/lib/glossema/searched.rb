# What somebody looks up, and where it stands in a text.
module Glossema
  class Searched
    WAYS = %w[phrase words alike].freeze
    MOST = 12
    # Scripts that set no spaces are looked up as they stand.
    UNPARTED = /[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}ー]/
    # Two words are alike that have so much of the longer one in common at their beginning, or by their stems.
    SHARED = 0.6
    SHORTEST = 4

    # As they are looked up; none where only symbols are looked for.
    attr_reader :words

    # way: of WAYS: words in this order, all of them, or also other forms; language: tag of the texts.
    def initialize(text, way: "phrase", language: nil)
      @text, @way, @language = text.to_s.strip, way, language
      @words = Folding.words(@text).first(MOST)
      @folded = @words.map { |word| Folding.fold(word) }
    end

    def empty? = @text.empty?

    # The symbols looked for where there are no words, as they are; or nil.
    def symbols = words.empty? && !empty? ? @text : nil

    # What a word begins with that is alike.
    def beginning(word) =
      word.length > SHORTEST ? word[0, [(word.length / 2.0).ceil, SHORTEST].max] : word

    # Places of what is looked for in a text, [[from, to], …] in characters; none where the text is no hit.
    def marks(text)
      return places(text, Regexp.new(Regexp.escape(symbols))) if symbols
      return [] if empty?
      return places(text, unparted_pattern) if words.join.match?(UNPARTED)
      return marks_in_ascii(text) if @way != "alike" && text.ascii_only? && words.all?(&:ascii_only?)

      tokens = []
      Offsets.each(text, Folding::WORD) { |word, from, to| tokens << [Folding.fold(word), from, to] }
      @way == "phrase" ? runs_in(tokens) : words_in(tokens)
    end

    private

    def unparted_pattern = /#{words.map { |word| Regexp.escape(word) }.join(".{0,3}")}/i

    # Where the words follow each other.
    def runs_in(tokens)
      tokens.reject { |token,| token.empty? }.each_cons(@folded.size)
        .select { |run| run.map(&:first) == @folded }.map { |run| [run.first[1], run.last[2]] }
    end

    # Where any of them stands, if all of them do somewhere.
    def words_in(tokens)
      found = @folded.map { |word| tokens.select { |token,| same?(token, word) } }
      return [] if found.any?(&:empty?)

      found.flatten(1).uniq.map { |_, from, to| [from, to] }.sort
    end

    def same?(token, word) = @way == "alike" ? alike?(token, word) : token == word

    def alike?(token, word)
      return false unless token.start_with?(beginning(word))

      (@alike ||= {}).fetch([token, word]) do |pair|
        shared = token.chars.zip(word.chars).take_while { |one, other| one == other }.size
        @alike[pair] = shared >= SHARED * [token.length, word.length].max ||
          (!@language.nil? && Terms::Alike.for(@language).same?(token, word))
      end
    end

    # The same by one pattern, where nothing need be folded but case.
    def marks_in_ascii(text)
      @pattern ||= /(?<![a-z0-9])(?:#{words.join(@way == "phrase" ? "[^a-z0-9]+" : "|")})(?![a-z0-9])/i
      @each ||= words.map { |word| /(?<![a-z0-9])#{word}(?![a-z0-9])/i }
      @way == "phrase" || @each.all? { |pattern| text.match?(pattern) } ? places(text, @pattern) : []
    end

    def places(text, pattern) = Offsets.all(text, pattern)
  end
end
