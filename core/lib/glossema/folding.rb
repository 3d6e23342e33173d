# How texts are searched: case, accents, letters that are written in two ways and marks nobody types make no
# difference. Symbols are text.
module Glossema
  module Folding
    # Marks that readers leave out: soft hyphens, joiners, Arabic and Hebrew vowel signs, the Arabic stretch.
    MARKS =
      "\u00AD\u200B-\u200D\u2060\u0591-\u05BD\u05BF\u05C1\u05C2\u05C4\u05C5\u05C7\u0610-\u061A\u0640" \
        "\u064B-\u065F\u0670\u06D6-\u06ED".freeze
    LETTERS = {
      "ß" => "ss",
      "ẞ" => "ss",
      "ı" => "i",
      "İ" => "i",
      "ſ" => "s",
      "أ" => "ا",
      "إ" => "ا",
      "آ" => "ا",
      "ٱ" => "ا"
    }.freeze
    # Ligatures, presentation forms, letters of full and half width.
    FORMS = "\uFB00-\uFB06\uFB1D-\uFDFF\uFE70-\uFEFC\uFF01-\uFF5E\uFF65-\uFF9F".freeze
    # All of them, as a class of characters.
    SPECIAL = "#{MARKS}#{LETTERS.keys.join}#{FORMS}".freeze
    ANY_SPECIAL = /[#{SPECIAL}]+/
    ANY_MARK = /[#{MARKS}]+/
    WORD = /[[:alnum:]\p{M}#{MARKS}]+/
    ACCENTS = /[\u0300-\u036F]+/

    module_function

    # A text as a full-text index takes it, which folds case and the accents of Latin, Greek and Cyrillic
    # itself.
    def indexed(text)
      return text if text.ascii_only? || !text.match?(ANY_SPECIAL)

      text.gsub(ANY_SPECIAL) do |run|
        run.gsub(ANY_MARK, "").unicode_normalize(:nfkc).gsub(/./m) { |letter| LETTERS.fetch(letter, letter) }
          .gsub(ANY_MARK, "")
      end
    end

    # What two spellings that a search takes as the same have in common.
    def fold(text)
      return text.downcase if text.ascii_only?

      indexed(text).downcase(:fold).unicode_normalize(:nfkd).gsub(ACCENTS, "").gsub(ANY_MARK, "")
    end

    # The words of what somebody looks for, as they are looked up.
    def words(text) = indexed(text).scan(WORD)
  end
end
