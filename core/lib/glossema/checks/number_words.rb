# Numbers from one to twelve written as words.
module Glossema
  module Checks
    module NumberWords
      KNOWN = YAML.load_file(File.join(ROOT, "data/checks/number_words.yml")).freeze
      HIGHEST = 12

      @patterns = {}

      module_function

      # How often does the number stand in the text as a word of the language? Without end where its words are
      # not known.
      def count(number, text, language)
        return 0 unless (1..HIGHEST).cover?(number)

        words = KNOWN[language] or return Float::INFINITY
        text.scan(pattern(language, words[number - 1])).size
      end

      def pattern(language, forms)
        @patterns[[language, forms]] ||= begin
          listed = forms.split("/").map { |form| Regexp.escape(form) }.join("|")
          # A word may be the beginning of another one: driehoek, zweimal.
          %w[ja zh].include?(language) ? /#{listed}/ : /(?<!\p{L})(?:#{listed})/i
        end
      end
      private_class_method :pattern
    end
  end
end
