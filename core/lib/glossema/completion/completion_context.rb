# The part of the learned models that matters for one segment: small enough to be sent to the browser, so that
# no request is made at a key press.
module Glossema
  module Completion
    # source: its text; names: the tokens that may come, each with the blank before it; the place of a token
    # in this list is its number, 0 and 1 standing for the beginning and the end of a text. By number: ones,
    # how likely each is at all; twos, [how often it was followed, by how many different ones, [number, times,
    # number, times …]] or nil; lexical, [[place of a word of the source, how likely that word becomes it] …].
    # rarity: what each word of the source counts; like: [[likeness from 0 to 1, numbers of the translation]
    # …] of the units like it; things: [[text, kind, likelihood] …].
    CompletionContext =
      Struct.new(:source, :names, :ones, :twos, :lexical, :rarity, :like, :things, keyword_init: true)

    class CompletionContext
      START, STOP = 0, 1

      # models: array of Model; terms: texts of terms that may come; carried: texts in the target's form;
      # matches: [[likeness from 0 to 1, translation] …] known besides.
      def self.gather(models, source, terms: [], carried: [], matches: []) =
        Gathering.new(models, source, matches, carried).context(terms: terms)
    end

    # Puts an context together from what several models know.
    class Gathering
      # So many frequent tokens are always looked at, and so many units like the source.
      FREQUENT, LIKE = 150, 30
      DIGITS = 4
      # In place of a token that cannot come.
      UNKNOWN = -1
      FIGURES = /\p{Nd}+/
      # So many words of a source say what comes.
      WORDS = 400

      def initialize(models, source, matches, carried)
        @models, @source, @carried = models, source, carried
        @figures = [source, *carried].flat_map { |text| text.scan(FIGURES) }.to_set
        @words = Tokens.source(source).first(WORDS)
        @matches = matches.map { |likeness, text| [likeness, Tokens.tokenize(text)] }
        @like = models.map { |model| model.like(known(model)) }
        @numbers = { "\u0000start" => CompletionContext::START, "\u0000stop" => CompletionContext::STOP }
        collect
      end

      def context(terms:)
        CompletionContext.new(
          source: @source,
          names: @numbers.keys.drop(2).unshift("", ""),
          ones: ones,
          twos: twos,
          lexical: lexical,
          rarity: @words.map { |word| rarity(word) },
          like: like,
          things: Things.find(@source, terms: terms, carried: @carried) { |text| known?(text) }.map(&:to_a)
        )
      end

      private

      def known(model) = @words.filter_map { |word| model.source_id(word) }

      def known?(text) = @models.any? { |model| model.id(" #{text}") || model.source_id(text.downcase) }

      def collect
        @models.zip(@like) do |model, like|
          (translations(model) | like.flat_map(&:last) | model.sequences.frequent(FREQUENT)).each do |id|
            number(model.name(id))
          end
        end
        Tokens.tokenize(@source).each { |token| number(" #{token.lstrip}") if known?(token.lstrip) }
        @matches.each { |_, tokens| normal(tokens).each { |token| number(token) } }
        @local = @models.map { |model| @numbers.keys.map { |name| model.id(name) } }
      end

      def translations(model) = known(model).uniq.flat_map { |word| model.lexicon.translations(word) }

      # Figures come from the source alone: those of other units are of other things.
      def number(name)
        @numbers[name] ||= @numbers.size if name.scan(FIGURES).all? { |figures| @figures.include?(figures) }
      end

      def normal(tokens) = Tokens.normal(tokens) { |token| @numbers.key?(token) }

      def ones
        sum = @models.sum { |model| model.sequences.total } + 1
        @numbers.values.map do |number|
          times = each_known(number) { |model, id| model.sequences.times(id) }.sum
          rounded((times + 0.1) / sum)
        end
      end

      def each_known(number)
        @models.zip(@local).filter_map { |model, ids| yield(model, ids[number]) if ids[number] }
      end

      def twos
        wanted = @local.map { |ids| ids.each_with_index.select(&:first).to_h }
        @numbers.values.map do |number|
          next if number == CompletionContext::STOP

          rows = @models.zip(@local, wanted).filter_map do |model, ids, numbers|
            ids[number] && model.sequences.row(ids[number], numbers)
          end
          row(rows) unless rows.empty?
        end
      end

      # [how often, how many different, pairs of number and times], from those of several models.
      def row(rows)
        pairs = rows.map(&:last).reduce { |all, more| all.merge(more) { |_, one, other| one + other } }
        [rows.sum { |sum, _, _| sum }, rows.sum { |_, kinds, _| kinds }, pairs.flatten]
      end

      def lexical
        weights = @words.map { |word| @models.map { |model| units_with(model, word) } }
        @numbers.values.map do |number|
          @words.each_index.filter_map do |at|
            chance = chance(number, at, weights[at])
            [at, rounded(chance)] if chance.positive?
          end
        end
      end

      # How likely a word of the source becomes a token: what the models say, by how often each met the word.
      def chance(number, at, weights)
        sum = weights.sum
        return 0.0 if sum.zero?

        @models.each_index.sum do |index|
          id = @local[index][number]
          next 0.0 unless id && weights[index].positive?

          word = @models[index].source_id(@words[at])
          weights[index] * @models[index].lexicon.likelihood(word, id) / sum
        end
      end

      def units_with(model, word) = model.source_id(word).then { |id| id ? model.units_with(id) : 0 }

      def rarity(word)
        there = @models.sum { |model| units_with(model, word) }
        there.zero? ? 0.0 : rounded(Math.log((@models.sum(&:size) + 1.0) / (there + 1)))
      end

      def like
        found =
          @models.zip(@like).flat_map do |model, units|
            units.map { |likeness, ids| [rounded(likeness), numbers_of(ids.map { |id| model.name(id) })] }
          end
        found.concat(@matches.map { |likeness, tokens| [likeness, numbers_of(normal(tokens))] })
        found.select { |likeness, _| likeness >= Likeness::LEAST }.sort_by { |likeness, _| -likeness }
          .uniq(&:last).first(LIKE)
      end

      def numbers_of(names) = names.map { |name| @numbers.fetch(name, UNKNOWN) }

      def rounded(value) = value.zero? ? 0.0 : value.round(DIGITS - 1 - Math.log10(value.abs).floor)
    end
  end
end
