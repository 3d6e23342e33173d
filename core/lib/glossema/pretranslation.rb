# Translates texts ahead: from memories what is good enough, below that from a machine.
#
# A machine is anything that answers translate([Content …]) → [Content or nil …]: nil where it gave nothing.
module Glossema
  class Pretranslation
    KINDS = %w[context exact adapted fuzzy machine none].freeze
    # So many texts are given to a machine at a time.
    BATCH = 50
    # What a text got: target (Content, its codes those of the text), kind (of KINDS but none), score, the
    # memory's name, its source (written).
    Result = Struct.new(:target, :kind, :score, :memory, :source)

    # lookup: Matching::Lookup; threshold: the lowest score taken.
    def initialize(lookup, threshold: 75, machine: nil)
      @lookup, @threshold, @machine = lookup, threshold, machine
    end

    # queries: [Matching::Query …] → [Result or nil …]. The block does the looking up for all (queries,
    # function) → list, so that it may be shared out; left out, one after the other.
    def results(queries)
      found = block_given? ? yield(queries, method(:best)) : queries.map { |query| best(query) }
      with_machine(queries, found)
    end

    # The best match of one text, or nil.
    def best(query)
      match = @lookup.matches(query, threshold: @threshold, limit: 1).first or return
      candidate = match.candidate
      Result.new(match.target, match.kind, match.score, candidate.memory.name, candidate.source.written)
    end

    private

    def with_machine(queries, found)
      return found unless @machine

      left = found.each_index.select { |index| found[index].nil? && !queries[index].content.blank? }
      left.each_slice(BATCH) do |places|
        given = @machine.translate(places.map { |place| queries[place].content })
        places.zip(given) { |place, target| found[place] = Result.new(target, "machine") if target }
      end
      found
    end
  end
end
