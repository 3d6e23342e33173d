# What became of the segments of a text when it was cut anew or replaced by a newer version.
module Glossema
  class Revision
    # Neighbours weigh less than this likeness; below it a text counts as new.
    LIKE = 50
    # One new segment and the old one it goes back to. kind: :same, :changed (similar text, or the same place
    # of a file with keys) or :new.
    Link = Struct.new(:kind, :index, :old, :score, keyword_init: true)

    attr_reader :links, :gone

    # old, new: arrays of anything that answers unit_id (a stable place), keyed (does the place alone tell
    # what it is?) and content (a Content). Links stand in the order of `new`; gone are indexes of `old`
    # nothing goes back to.
    def initialize(old, new)
      @old, @new = old, new
      @links = Array.new(new.size)
      @taken = {}
      same
      changed
      @links.each_index { |index| @links[index] ||= Link.new(kind: :new, index: index) }
      @gone = old.each_index.reject { |index| @taken[index] }
    end

    # {"same" => n, "changed" => n, "new" => n, "gone" => n}
    def counts =
      { "same" => 0, "changed" => 0, "new" => 0 }.merge(links.map { |link| link.kind.to_s }.tally).merge(
        "gone" => gone.size
      )

    private

    # The same text: in the same place first, then in order.
    def same
      by_text = @old.each_index.group_by { |index| @old[index].content }
      [true, false].each do |in_place|
        @new.each_with_index do |segment, index|
          next if @links[index]

          waiting = by_text[segment.content] or next
          old = waiting.find { |one| !@taken[one] && (!in_place || @old[one].unit_id == segment.unit_id) }
          link(:same, index, old, 100) if old
        end
      end
    end

    # Between two texts that stayed, a new one goes back to the old one most like it; in files with keys, to
    # that of its key.
    def changed
      open = @new.each_index.reject { |index| @links[index] }
      by_key =
        @old
          .each_index
          .reject { |index| @taken[index] || !@old[index].keyed }
          .to_h { |index| [@old[index].unit_id, index] }
      open.each do |index|
        old = @new[index].keyed ? by_key[@new[index].unit_id] : nil
        link(:changed, index, old, score(old, index)) if old && !@taken[old]
      end
      spans.each { |fresh, left| pair(fresh, left) }
    end

    # Runs of new segments without a link, each with the old ones that stood in the same gap.
    def spans
      list, from = [], 0
      before = -1
      (0..@new.size).each do |index|
        stays = index < @new.size && @links[index]
        next unless stays || index == @new.size

        upto = stays ? @links[index].old : @old.size
        fresh = (from...index).reject { |one| @links[one] }
        low, high = [before + 1, upto].minmax
        left = (low...high).reject { |one| @taken[one] }
        list << [fresh, left] if fresh.any? && left.any?
        from = index + 1
        before = @links[index].old if stays
      end
      list
    end

    def pair(fresh, left)
      scored =
        fresh
          .product(left.first(200))
          .filter_map { |index, old| (points = score(old, index)) >= LIKE && [points, -index, index, old] }
      scored.sort.reverse_each do |points, _, index, old|
        link(:changed, index, old, points) unless @links[index] || @taken[old]
      end
    end

    def score(old, index) = Matching::Score.compare(@old[old].content, @new[index].content).score

    def link(kind, index, old, score)
      @taken[old] = true
      @links[index] = Link.new(kind: kind, index: index, old: old, score: score)
    end
  end
end
