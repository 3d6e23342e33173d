# The words that terms of one language are made of, and which of them a word of a text may be.
module Glossema
  module Terms
    class Vocabulary
      # One word of a term: text as written, how it is recognised (of RECOGNITIONS), whether case counts.
      Word = Struct.new(:text, :recognise, :cased)
      # So many letters a word and a form of it begin with at least.
      BEGINNING = Alike::BEGINNING
      REMEMBERED = 20_000

      def initialize(tag)
        @alike = Alike.for(tag)
        @ids, @words, @answers = {}, [], {}
        @exact, @open, @stems, @beginnings, @slips = Array.new(5) { Hash.new { |hash, key| hash[key] = [] } }
      end

      # The number of a word, added where it is new.
      def id(word)
        @ids[word] ||= begin
          @answers.clear
          @words << word
          enter(word, @words.size - 1)
          @words.size - 1
        end
      end

      # The numbers of the words that a word of a text may be. Case is looked at where it counts.
      def ids(text)
        @answers.clear if @answers.size > REMEMBERED
        @answers[text] ||= found(text)
      end

      private

      def enter(word, id)
        folded = Alike.fold(word.text)
        @exact[folded] << id
        case word.recognise
        when "open" then @open[folded] << id
        when "alike" then enter_alike(folded, id)
        end
      end

      def enter_alike(folded, id)
        @stems[@alike.stem(folded)] << id
        @beginnings[Alike.bare(folded)[0, BEGINNING]] << id
        slips(folded) { |key| @slips[key] << id } if slip?(folded)
      end

      # Yields the word and all it may become by leaving one letter out: what two words have in common that
      # one slip sets apart.
      def slips(folded)
        yield folded
        folded.length.times { |at| yield folded[0...at] + folded[at + 1..] }
      end

      def found(text)
        folded = Alike.fold(text)
        sure = at(@exact, folded) + opened(folded)
        alike = (near(folded) - sure).select { |id| @alike.same?(text, @words[id].text) }
        (sure | alike).select { |id| !@words[id].cased || cased?(text, @words[id].text) }
      end

      def opened(folded) =
        @open.empty? ? [] : beginnings(folded).flat_map { |beginning| at(@open, beginning) }

      # No term is longer.
      LONGEST = 500
      def beginnings(folded) = (1..[folded.length, LONGEST].min).map { |length| folded[0, length] }

      def slip?(folded) = folded.length.between?(Alike::SLIP, Alike::LONGEST_SLIP)

      def near(folded)
        return [] if folded.match?(/\d/) || folded.length > Alike::LONGEST_SLIP

        list = at(@stems, @alike.stem(folded)).dup
        at(@beginnings, Alike.bare(folded)[0, BEGINNING]).each do |id|
          list << id if @alike.inflected?(folded, Alike.fold(@words[id].text))
        end
        slips(folded) { |key| list.concat(at(@slips, key)) } if slip?(folded)
        list.uniq
      end

      # Tables make a list for each key they are asked for; what is only looked at must not.
      def at(table, key) = table.fetch(key, [])

      # The same case as far as the letters are the same.
      def cased?(text, other)
        folded = [text, other].map { |one| Alike.fold(one) }
        same = (0...folded.map(&:length).min).take_while { |at| folded[0][at] == folded[1][at] }.size
        text[0, same] == other[0, same]
      end
    end
  end
end
