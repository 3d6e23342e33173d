# Language tags (BCP 47) and a guess at the language of a text.
module Glossema
  module Languages
    # For patterns: a letter that belongs to the word or number beside it; scripts without spaces, and Korean
    # with its endings, set letters next to words of others.
    SPACED_LETTER = "[\\p{L}&&[^\\p{Han}\\p{Hiragana}\\p{Katakana}\\p{Hangul}\\p{Thai}]]".freeze

    TAG = /\A[a-z]{2,3}(?:-[A-Z][a-z]{3})?(?:-(?:[A-Z]{2}|\d{3}))?(?:-[a-z0-9]{5,8})*\z/
    RIGHT_TO_LEFT = %w[ar fa he ur yi ps sd ug dv ckb].freeze
    # The most frequent small words of each language; a text is in the language whose words cover most of it.
    SMALL_WORDS =
      {
        "en" =>
          "the of and to in is that for it with as on be at by this are from or an not you your have must " \
          "if can when",
        "it" =>
          "il di che e la per un è non del con una in le sono della si da al come più nel gli i alla lo " \
          "deve dei",
        "nl" =>
          "de het een van en in is dat op te voor met zijn niet aan er om ook als bij naar uit maar deze " \
          "wordt u kan",
        "de" =>
          "der die und in das von zu den mit ist des sich auf für im dem nicht ein eine als auch es an " \
          "werden aus sie wird",
        "fr" =>
          "le la les de et des un une en est que pour dans du au qui sur pas par avec ce vous il plus sont " \
          "aux",
        "es" => "el la de que y en los un por las con una su para es del se al lo como más no o este son",
        "pt" => "o a de que e do da em um para com não uma os no se na por mais as dos como ao é das são",
        "sv" => "och att det i en som är på för av med den till inte om ett har de kan från vid eller",
        "pl" => "i w na z do nie się że jest to o jak za od przez po dla lub są oraz",
        "da" => "og at det i en er på til af for med der den ikke som de har kan fra eller et"
      }.transform_values { |words| words.split.to_h { |word| [word, true] } }.freeze
    SCRIPTS = {
      "ja" => /[\p{Hiragana}\p{Katakana}]/,
      "zh" => /\p{Han}/,
      "ru" => /\p{Cyrillic}/,
      "el" => /\p{Greek}/,
      "ar" => /\p{Arabic}/,
      "he" => /\p{Hebrew}/,
      "hi" => /\p{Devanagari}/,
      "th" => /\p{Thai}/,
      "ko" => /\p{Hangul}/
    }.freeze

    # Languages that are written in one of these scripts and are not told from the one it stands for.
    ALSO_WRITTEN = {
      "zh" => %w[ja yue],
      "ru" => %w[be bg kk ky mk mn sr tg uk],
      "ar" => %w[ckb fa ps sd ug ur],
      "he" => %w[yi],
      "hi" => %w[mr ne sa]
    }.freeze

    module_function

    # True for a well-formed tag in its canonical case, such as "en", "de-CH" or "zh-Hant-TW".
    def valid?(tag) = tag.to_s.match?(TAG)

    # Is this the code of a language, as CLDR knows them?
    def known?(code) = names.value?(code.to_s) || SMALL_WORDS.key?(code.to_s)

    # The tag of a language that a text names, in English or in that language: "Italian, status" → "it"; nil
    # for none. A name of two words counts more than one of its words.
    def named(text)
      folded = text.downcase
      found = names.select { |name, _| folded.match?(/(?<!\p{L})#{Regexp.escape(name)}(?!\p{L})/) }
      found.max_by { |name, _| name.length }&.last
    end

    # The English name of the language of a tag, or the tag.
    def english(tag)
      name = names.filter_map { |one, code| one if code == primary(tag) }.last
      name ? name.split.map(&:capitalize).join(" ") : tag
    end

    # {name in lower case => code}, English names behind those in their own languages.
    def names
      @names ||= begin
        require "twitter_cldr"
        said = ->(locale) { TwitterCldr.get_locale_resource(locale, :languages)[locale][:languages] }
        english = said[:en].select { |code, _| code.length <= 3 }
        own = TwitterCldr.supported_locales.reject { |one| one.length > 3 }
          .filter_map { |locale| (name = said[locale][locale]) && [name.downcase, locale.to_s] }
        own.to_h.merge(english.to_h { |code, name| [name.downcase, code.to_s] }).transform_keys(&:to_s)
      end
    end

    def primary(tag) = tag.to_s[/\A[A-Za-z]+/].to_s.downcase

    def right_to_left?(tag) = RIGHT_TO_LEFT.include?(primary(tag))

    # The same language, whatever the region.
    def same?(one, other) = primary(one) == primary(other)

    # The likely language of a text as a primary tag, or nil when there is too little to go by.
    def guess(text)
      sample = text[0, 20_000]
      letters = sample.scan(/\p{L}/).size
      return nil if letters < 12

      script = SCRIPTS.find { |_, pattern| sample.scan(pattern).size > letters * 0.2 }
      return script[0] if script

      words = sample.downcase.scan(/\p{L}+/)
      scores = SMALL_WORDS.transform_values { |small| words.count { |word| small[word] } }
      best, hits = scores.max_by(&:last)
      best if hits >= [2, words.size * 0.08].max
    end

    # May a text whose language was guessed (nil: it was not) be in the language of this tag? Only languages
    # that are told apart speak against each other.
    def could_be?(guessed, tag)
      code = primary(tag)
      return true if guessed.nil? || guessed == code
      return ALSO_WRITTEN.fetch(guessed, []).include?(code) if SCRIPTS.key?(guessed)

      told_apart = SMALL_WORDS.key?(code) || SCRIPTS.key?(code) || ALSO_WRITTEN.values.any? { |list|
        list.include?(code)
      }
      !told_apart || tag.include?("-Latn")
    end
  end
end
