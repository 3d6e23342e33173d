# Numbers from none to twelve written as words.
module Glossema
  module Checks
    module NumberWords
      KNOWN, ORDINALS, IMPLIED = YAML.load_file(File.join(ROOT, "data/checks/number_words.yml"))
        .values_at("numbers", "ordinals", "implied").map(&:freeze)
      HIGHEST = 12
      # Their words do not stand apart.
      UNDIVIDED = %w[ja zh].freeze

      @patterns = {}

      module_function

      # How often does the number stand in the text as a word of the language? ordinal: as a place in a row
      # (third), as well as by itself. Without end where its words are not known.
      def count(number, text, language, ordinal: false)
        return 0 unless (0..HIGHEST).cover?(number)

        words = KNOWN[language] or return Float::INFINITY
        forms = words[number].split("/")
        forms += ORDINALS.fetch(language, [])[number - 1].to_s.split("/") if ordinal && number.positive?
        text.scan(pattern(language, forms)).size
      end

      # May the number in a translation stand for a word of the source that only implies it: twice, binary?
      def implied?(number, text, language)
        forms = IMPLIED.dig(language, number) or return false
        text.match?(/(?<!\p{L})(?:#{forms.tr("/", "|")})/i)
      end

      def pattern(language, forms)
        @patterns[[language, forms]] ||= begin
          listed = forms.map { |form| Regexp.escape(form) }.join("|")
          # A word may be the beginning of another one: driehoek, zweimal, settimo.
          UNDIVIDED.include?(language) ? /#{listed}/ : /(?<!\p{L})#{article(language)}(?:#{listed})/i
        end
      end
      private_class_method :pattern

      # What Arabic writes together with the word.
      def article(language) = language == "ar" ? "(?:[وفبلك]?(?:ال)?|لل)" : ""
      private_class_method :article
    end
  end
end
