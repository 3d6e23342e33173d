# What the stand-in knows: the demo's memory and terms, and small words.
module StandIn
  module Knowledge
    TEXTS = File.expand_path("../demo/texts", __dir__)
    LANGUAGES = %w[en it nl].freeze
    PAIRS = [%w[en it], %w[en nl], %w[nl it]].freeze

    module_function

    # {[source, target] => [[text, text] …]} of whole sentences.
    def sentences = { %w[en it] => rows(File.join(TEXTS, "memory.tsv")).map { |row| row.last(2) } }

    # The same of terms, and of small words.
    def terms = PAIRS.to_h { |languages| [languages, terms_of(*languages)] }
    def small = PAIRS.to_h { |languages| [languages, small_words(*languages)] }

    def small_words(source, target)
      at = [source, target].map { |tag| LANGUAGES.index(tag) }
      rows(File.expand_path("words.tsv", __dir__)).map { |row| row.values_at(*at) }
    end

    # The first term of each entry; those not to be used stand further below.
    def terms_of(source, target)
      head, *list = rows(File.join(TEXTS, "terms.tsv"))
      at = [source, target].map { |tag| head.index(tag) }
      list.map { |row| row.values_at(*at) }.reject { |pair| pair.any? { |text| text.to_s.empty? } }
    end

    def rows(path) = File.readlines(path, chomp: true, encoding: "UTF-8").map { |line| line.split("\t") }
  end
end
