# The translations of the stand-in: whole sentences it knows, phrases and terms, words it learned from pairs,
# figures in the target's form; what it does not know stays as it is. Good enough to be edited, and no more.
require "glossema"

module StandIn
  class Engine
    Unknown = Class.new(StandardError)
    # A phrase has so many words at most; a word is taken for another from so sure on.
    WORDS, SURE = 6, 0.3
    TAG = /<[^<>]+>/
    WORD = /[\p{L}\p{M}]+(?:['’-][\p{L}\p{M}]+)*/

    # Each {[source, target] => [[text, text] …]}: sentences, terms, small words.
    def initialize(sentences:, terms:, small:)
      @tables = small.to_h do |languages, words|
        [languages, [*words, *sentences[languages]].to_h { |source, target| [key(source), target] }]
      end
      @finders = terms.to_h { |languages, list| [languages, finder(languages, list)] }
      @models = sentences.transform_values { |list| Glossema::Completion::Model.learn(list) }
    end

    # text: with tags, which stay in place. Raises Unknown for languages it does not know.
    def translate(text, source, target)
      languages = [source, target].map { |tag| Glossema::Languages.primary(tag) }
      table = @tables[languages] or raise Unknown, languages.join(" → ")
      whole = table[key(text.gsub(TAG, ""))]
      return with_mark(whole, text) if whole && !text.match?(TAG)

      made = text.split(/(#{TAG})/).map do |piece|
        piece.match?(/\A#{TAG}\z/) ? piece : run(piece, languages, [source, target])
      end
      capital(made.join, text)
    end

    private

    # Terms are known in all their forms.
    def finder(languages, terms)
      entries = terms.map do |texts|
        sections = languages.zip(texts).map do |lang, text|
          Glossema::Terms::Section.new(lang: lang, terms: [Glossema::Terms::Term.new(text: text)])
        end
        Glossema::Terms::Entry.new(sections: sections)
      end
      Glossema::Terms::Finder.new(languages.first, entries)
    end

    def key(text) = text.downcase.tr("’", "'").sub(/[.!?]\s*\z/, "").strip

    # The end mark of the source, where the known sentence has none or another.
    def with_mark(whole, text) = whole.sub(/[.!?]?\z/, text[/[.!?](?=\s*\z)/].to_s)

    # A stretch of text without tags.
    def run(text, languages, tags)
      fixed = figures(text, tags).merge(terms(text, languages))
      at, made = 0, +""
      while at < text.length
        if fixed[at]
          made << fixed[at].last
          at = fixed[at].first
        elsif (word = text.match(/\G#{WORD}/, at))
          length, target = phrase(text, at, languages) || [word[0].length, word(word[0], languages)]
          made << target
          at += length
        else
          made << text[at]
          at += 1
        end
      end
      made
    end

    # {from => [to, translation]}
    def figures(text, tags)
      Glossema::Forms::Carried.in(text, *tags).to_h { |one| [one.from, [one.to, one.target]] }
    end

    def terms(text, languages)
      @finders[languages].find(text).to_h do |one|
        [one.from, [one.to, one.entry.targets(languages.first).first || text[one.from...one.to]]]
      end
    end

    # [length in the source, translation] of the longest phrase that begins at a place, or nil.
    def phrase(text, at, languages)
      ends = text[at..].enum_for(:scan, WORD).map { Regexp.last_match.end(0) }.first(WORDS)
      ends.reverse_each do |length|
        found = @tables[languages][key(text[at, length])]
        return [length, found] if found && !text[at, length].match?(/[.,;:!?]/)
      end
      nil
    end

    def word(text, languages)
      model = @models[languages] or return text
      id = model.source_id(text.downcase) or return text
      known = model.lexicon.translations(id).select { |one| model.name(one).match?(/\p{L}/) }
      best = known.max_by { |one| model.lexicon.likelihood(id, one) }
      best && model.lexicon.likelihood(id, best) >= SURE ? model.name(best).strip : text
    end

    def capital(made, text)
      return made unless text.gsub(TAG, "").match?(/\A\P{L}*\p{Lu}/)

      made.sub(/\A((?:#{TAG}|\P{L})*?)(\p{Ll})/) { "#{Regexp.last_match(1)}#{Regexp.last_match(2).upcase}" }
    end
  end
end
