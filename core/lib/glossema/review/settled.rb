# A wording that came back without what a word processor did to it by itself: quotes it made curly, no-break
# spaces it set or lost, three dots it made one, soft hyphens.
module Glossema
  module Review
    module Settled
      TOKEN = /\{\/?\d+\/?\}|[\p{L}\p{M}\p{N}]+|\.\.\.|\s|./m
      CURLY = { "’" => "'", "‘" => "'", "“" => '"', "”" => '"', "„" => '"' }.freeze
      SPACES = /[\u00A0\u202F\u2009]/
      SOFT = /\u00AD/

      module_function

      # before, after: written forms → the wording meant: where the two differ by such things alone, as
      # before.
      def settle(before, after)
        return before if before == after

        old, new = [before, after.gsub(SOFT, "")].map { |text| text.scan(TOKEN) }
        out = new.dup
        pairs(old, new).each { |one, other| out[other] = old[one] }
        out.join
      end

      # May the two tokens be the same but for what a word processor does?
      def same?(old, new)
        return true if old == new

        (CURLY[new] == old) || (old == "..." && new == "…") || (blank?(old) && blank?(new))
      end

      def blank?(token) = token == " " || token.match?(/\A#{SPACES}\z/o)
      private_class_method :blank?

      # [[place in old, place in new] …] of what stands in both, in order: the longest common subsequence.
      def pairs(old, new)
        lengths = table(old, new)
        one = other = 0
        found = []
        while one < old.size && other < new.size
          if same?(old[one], new[other])
            found << [one, other]
            one, other = one + 1, other + 1
          elsif lengths[one + 1][other] >= lengths[one][other + 1] then one += 1
          else
            other += 1
          end
        end
        found
      end
      private_class_method :pairs

      def table(old, new)
        lengths = Array.new(old.size + 1) { Array.new(new.size + 1, 0) }
        (old.size - 1).downto(0) do |one|
          (new.size - 1).downto(0) do |other|
            lengths[one][other] = if same?(old[one], new[other])
              lengths[one + 1][other + 1] + 1
            else
              [lengths[one + 1][other], lengths[one][other + 1]].max
            end
          end
        end
        lengths
      end
      private_class_method :table
    end
  end
end
