# Bilingual texts for alignment, made of a real memory that lies beside the project: sentences left out on
# one side, two made one, a page missing. What belongs together is known.
require "zlib"

class NoisyPairs
  MEMORY = File.expand_path("../../../../shared/samples/memory-en-nl.tsv.gz", __dir__)
  SHORTEST = 25

  def self.there? = File.exist?(MEMORY)

  # from: the first row of the memory; count: how many; left_out, joined: shares; pages: missing ones.
  def initialize(from, count, left_out: 0.02, joined: 0.04, pages: 1, seed: 1)
    @random = Random.new(seed)
    rows = disturbed(self.class.rows[from, count], left_out, joined)
    pages.times { miss(rows) }
    lay_out(rows)
  end

  # [text …] of both sides; [[indexes, indexes], …] of what belongs together.
  attr_reader :sources, :targets, :gold

  def self.rows
    @rows ||= Zlib::GzipReader.open(MEMORY, &:read).force_encoding("UTF-8").lines.filter_map do |line|
      pair = line.chomp.split("\t").map { |text| text.gsub(/<[^>]+>/, "").gsub(/\s+/, " ").strip }
      pair if pair.size == 2 && pair.none?(&:empty?) && pair.first.size >= SHORTEST
    end
  end

  private

  def disturbed(rows, left_out, joined)
    list = rows.map { |source, target| [[source], [target]] }
    done = []
    while (row = list.shift)
      chance = @random.rand
      if chance < left_out
        row[@random.rand(2)] = []
      elsif chance < left_out + joined && list.any?
        row = join(row, list.shift)
      end
      done << row
    end
    done
  end

  def join(row, other)
    side = @random.rand(2)
    both = row.zip(other).map { |one, two| one + two }
    both[side] = [both[side].join(" ")]
    both
  end

  def miss(rows)
    at, side = @random.rand(rows.size - 20), @random.rand(2)
    rows[at, 15].each { |row| row[side] = [] }
    rows.reject! { |row| row.all?(&:empty?) }
  end

  def lay_out(rows)
    @sources, @targets, @gold = [], [], []
    rows.each do |ones, others|
      places = [ones.each_index.map { |at| @sources.size + at }, others.each_index.map { |at|
        @targets.size + at
      }]
      @gold << places if ones.any? && others.any?
      @sources.concat(ones)
      @targets.concat(others)
    end
  end
end
