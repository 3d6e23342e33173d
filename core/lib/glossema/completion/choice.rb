# Chooses from all that may follow the few offers that save most key presses: the first costs one key to take,
# each place down the list one more.
module Glossema
  module Completion
    # text: what would follow; kind: where it comes from ("memory", "term", "carried", "source"); likelihood:
    # how sure it is that it follows, 0 to 1.
    Offer = Struct.new(:text, :kind, :likelihood)

    module Choice
      # So many of the weightiest are looked at.
      LOOKED_AT = 80

      module_function

      # all: {text => [how likely the translation goes on with it, kind]} → [Offer …], at most so many.
      def choose(all, limit)
        rest = all.reject { |text, _|
          text.strip.empty?
        }.max_by(LOOKED_AT) { |text, (likely, _)| likely * text.length }
        chosen = []
        limit.times do |place|
          best = rest.max_by { |text, (likely, _)| gain(text, likely, place, chosen) }
          break if best.nil? || gain(best[0], best[1][0], place, chosen) <= 0

          chosen << best
          rest.delete(best)
        end
        chosen.map { |text, (likely, kind)| Offer.new(text, kind, likely) }
      end

      # What an offer is expected to save at a place beyond those chosen before: where a longer one holds it
      # adds nothing, where a shorter one holds only what it has more.
      def gain(text, likely, place, chosen)
        saved = 0
        chosen.each_with_index do |(other, (chance, _)), at|
          if text.start_with?(other)
            saved = [saved, other.length - 1 - at].max
          elsif other.start_with?(text)
            likely -= chance
          end
        end
        [likely, 0].max * (text.length - 1 - place - saved)
      end
    end
  end
end
