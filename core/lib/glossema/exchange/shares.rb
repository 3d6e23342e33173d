# Work divided among several by words: a text cut where a file or a heading begins, or, where that does not
# come near enough, where a paragraph begins.
module Glossema
  module Exchange
    module Shares
      # So far from equal parts is near enough: a share of the part it should be.
      NEAR = 0.03
      BORDERS = %i[file heading paragraph].freeze
      # words: of a segment; begins: of BORDERS, nil in the midst of a paragraph.
      Piece = Struct.new(:words, :begins, keyword_init: true)
      # ranges: of pieces, one for each share, in order; words: of each; borders: the kind of place where it
      # was cut; near: is each within NEAR?
      Division = Struct.new(:ranges, :words, :borders, :near, keyword_init: true)

      module_function

      # pieces: [Piece …] in text order; count: of shares. Raises Refused "shares-count" where there are fewer
      # paragraphs than shares.
      def divide(pieces, count)
        tried = [%i[file heading], BORDERS].filter_map { |borders| divided(pieces, count, borders) }
        tried.find(&:near) || tried.min_by { |one| distance(one.words) } ||
          raise(Refused.new("shares-count", count: count))
      end

      def divided(pieces, count, borders)
        places = (1...pieces.size).select { |index| borders.include?(pieces[index].begins) }
        return if count < 1 || places.size < count - 1

        cuts = [0, *chosen(sums(pieces), places, count), pieces.size]
        ranges = cuts.each_cons(2).map { |from, to| from...to }
        words = ranges.map { |range| pieces[range].sum(&:words) }
        Division.new(ranges: ranges, words: words, near: distance(words) <= NEAR,
          borders: borders.include?(:paragraph) ? "paragraph" : "heading")
      end
      private_class_method :divided

      # [words before each piece, …, all words]
      def sums(pieces) = pieces.each_with_object([0]) { |piece, all| all << (all.last + piece.words) }
      private_class_method :sums

      # The places whose largest distance from equal parts is the smallest, by dynamic programming: best[i]
      # is the way to cut so many shares off before place i.
      def chosen(sums, places, count)
        equal = sums.last.fdiv(count)
        best = { 0 => [0.0, []] }
        (1...count).each do |number|
          near = nearest(places, sums, equal * number, count - number, number)
          best = near.to_h { |place| [place, cut_at(place, best, sums, equal)] }.compact
        end
        best.map { |place, (worst, cuts)| [[worst, off(sums.last - sums[place], equal)].max, cuts] }
          .min_by(&:first).last
      end
      private_class_method :chosen

      def cut_at(place, best, sums, equal)
        ways = best.select { |before, _| before < place }
        return if ways.empty?

        ways.map { |before, (worst, cuts)|
          [[worst, off(sums[place] - sums[before], equal)].max, [*cuts, place]]
        }.min_by(&:first)
      end
      private_class_method :cut_at

      # Of very many places only those around the right one; so many must be left on either side.
      MANY = 60
      def nearest(places, sums, right, after, before)
        usable = places[(before - 1)...(places.size - after + 1)].to_a
        usable.min_by(MANY) { |place| (sums[place] - right).abs }.sort
      end
      private_class_method :nearest

      def off(words, equal) = equal.zero? ? 0.0 : (words - equal).abs / equal
      private_class_method :off

      def distance(words)
        equal = words.sum.fdiv(words.size)
        words.map { |one| off(one, equal) }.max
      end
      private_class_method :distance
    end
  end
end
