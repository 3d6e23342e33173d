# What is learned from memories for completion: words and their numbers, which translates which, which follows
# which, and the units themselves, to find those like a source.
module Glossema
  module Completion
    class Model
      START, STOP = 0, 1
      # So many units like a source are asked for, and a word in more units than this does not tell them
      # apart.
      LIKE = 30
      COMMON = 3000

      attr_reader :lexicon, :sequences

      # pairs: [[source text, target text] …], without codes. The newest should come last.
      def self.learn(pairs) = new.tap { |model| model.learn(pairs) }

      def initialize
        @sources, @targets, @names = {}, { "\u0000start" => START, "\u0000stop" => STOP },
%W[\u0000start \u0000stop]
        @lexicon, @sequences = Lexicon.new, Sequences.new(START, STOP)
        @units, @places = [], {}
      end

      def learn(pairs)
        cut = pairs.map { |source, target| [Tokens.source(source), Tokens.tokenize(target)] }
        @inside = Hash.new(0)
        cut.each { |_, target| target.drop(1).each { |token| @inside[token] += 1 } }
        @units = cut.map { |source, target| [source.map { |word| source_id!(word) }, ids!(target)] }
        @units.each_with_index { |(source, target), place| enter(source, target, place) }
        @lexicon = Lexicon.learn(@units)
      end

      # One unit more, as it is confirmed.
      def add(source, target)
        unit = [Tokens.source(source).map { |word| source_id!(word) }, ids!(Tokens.tokenize(target))]
        @units << unit
        enter(*unit, @units.size - 1)
        @lexicon.add(*unit)
      end

      def size = @units.size

      # The number of a source word, or nil.
      def source_id(word) = @sources[word]

      # The token of a number, with a blank before it where it has one.
      def name(id) = @names[id]

      # The number of a target token, or nil.
      def id(token) = @targets[token]

      # In how many units a source word is.
      def units_with(word) = @places[word]&.size || 0

      # How rare a source word is: the logarithm of how many units there are for each that has it.
      def rarity(word) = Math.log((@units.size + 1.0) / (units_with(word) + 1))

      # [[likeness from 0 to 1, ids of the target] …] of the units like a source, the likest first.
      def like(words)
        own = words.uniq
        shared = Hash.new(0.0)
        own.each do |word|
          places = @places[word]
          next if places.nil? || places.size > COMMON

          weight = rarity(word)
          places.each { |place| shared[place] += weight }
        end
        mine = own.sum { |word| rarity(word) }
        shared.map { |place, weight| [weight / (mine + theirs(place) - weight + 1e-9), place] }.max(LIKE)
          .map { |likeness, place| [likeness, @units[place].last] }
      end

      def marshal_dump = [@sources, @names, @inside.to_a, @units, @lexicon, @sequences]

      def marshal_load(state)
        @sources, @names, inside, @units, @lexicon, @sequences = state
        @inside = Hash.new(0).merge!(inside.to_h)
        @targets = @names.each_with_index.to_h
        @places = {}
        @units.each_with_index { |(source, _), place| put(source, place) }
      end

      private

      def enter(source, target, place)
        put(source, place)
        @sequences.add(target)
      end

      def put(source, place) = source.uniq.each { |word| (@places[word] ||= []) << place }

      def theirs(place) = (@weights ||= {})[place] ||= @units[place].first.uniq.sum { |word| rarity(word) }

      def source_id!(word) = @sources[word] ||= @sources.size

      def ids!(tokens)
        normal(tokens).map do |token|
          @targets[token] ||= begin
            @names << token
            @names.size - 1
          end
        end
      end

      # Of a first word that is met small inside texts as often, the small one.
      def normal(tokens)
        Tokens.normal(tokens) do |small|
          @inside[small].positive? && @inside[small] >= @inside[" #{tokens.first.lstrip}"]
        end
      end
    end
  end
end
