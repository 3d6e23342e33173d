# The best match of each segment of a project in some memories: one after the other, or, where there are many,
# by a process for each core, which each read the database for themselves.
class Report::Matching
  # From so many different texts on, processes are worth their start.
  APART = 1500
  # Progress is told after so many segments.
  STEP = 100
  PROGRAM = Rails.root.join("bin/match-segments").to_s
  LOG = Rails.root.join("log/match-segments.log").to_s
  # What a band is told by.
  Found = Struct.new(:kind, :score)

  # stores: [[memory id, penalty] …]
  def initialize(project, stores)
    @project, @stores = project, stores
  end

  # segments: of the project, in order. Yields how many are done; returns [[Content, Found or nil] …], or nil
  # when the block answered :stop.
  def rows(segments, &progress)
    return segments.map { |segment| [segment.source_content, nil] } if @stores.empty?
    return side_by_side(segments, &progress) if cores > 1 && segments.map(&:source).uniq.size >= APART

    one_after_the_other(segments, &progress)
  end

  # One share of the work, for a process of its own: every count-th text from the turn-th on. Returns
  # [[index, kind, score] …] of those that have a match.
  def share(segments, turn, count)
    known = {}
    places = segments.each_index.group_by { |index| segments[index].source }.values
    places.each_with_index.flat_map do |indexes, number|
      next [] unless number % count == turn

      indexes.filter_map do |index|
        found = known.fetch(segments[index].source) { best(segments, index, known) }
        found && [index, found.kind, found.score]
      end
    end
  end

  private

  def cores = Etc.nprocessors

  # What stands around a segment only matters to an exact match, so others hold for all of the same text.
  def best(segments, index, known)
    match = lookup.matches(query(segments, index), threshold: 50, limit: 1).first
    found = match && Found.new(match.kind, match.score)
    known[segments[index].source] = found unless match && match.raw == 100
    found
  end

  def query(segments, index)
    segment = segments[index]
    beside = [index.zero? ? nil : segments[index - 1], segments[index + 1]]
    segment.query(*beside.map { |other| other if other&.document_id == segment.document_id }, of: @project)
  end

  def lookup
    @lookup ||=
      begin
        memories = Memory.where(id: @stores.map(&:first)).index_by(&:id)
        known = @stores.filter_map { |id, penalty| memories[id] && Memory::Store.new(memories[id], penalty) }
        Glossema::Matching::Lookup.new(known)
      end
  end

  def one_after_the_other(segments)
    known = {}
    found =
      segments.each_with_index.map do |segment, index|
        return nil if block_given? && (index % STEP).zero? && yield(index) == :stop

        known.fetch(segment.source) { best(segments, index, known) }
      end
    segments.map(&:source_content).zip(found)
  end

  def side_by_side(segments, &progress)
    found = Array.new(segments.size)
    done = 0
    pipes = Array.new(cores) { |turn| process(segments, turn) }
    pipes.each do |pipe|
      # Our own processes write it.
      Marshal.load(pipe).each { |index, *best| found[index] = Found.new(*best) } # rubocop:disable Security/MarshalLoad
      done += segments.size / cores
      return nil if progress&.call(done) == :stop
    end
    segments.map(&:source_content).zip(found)
  rescue EOFError
    raise Glossema::Refused.new("counting-ended")
  ensure
    pipes&.each(&:close)
  end

  def process(segments, turn)
    asked = { project: @project.id, stores: @stores, segments: segments.map(&:id), turn: turn, count: cores }
    pipe = IO.popen([Room::ENVIRONMENT, RbConfig.ruby, "--yjit", PROGRAM], "r+b", err: [LOG, "a"])
    pipe.write(JSON.generate(asked))
    pipe.close_write
    pipe
  end
end
