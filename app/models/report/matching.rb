# The best match of each segment of a project in some memories: one after the other, or, where there are many,
# by a process for each core, which each read the database for themselves.
class Report::Matching
  # From so many different texts on, processes are worth their start.
  APART = 1500
  # Progress is told after so many segments.
  STEP = 100
  Counting = Glossema::Counting
  # What a band is told by.
  Found = Struct.new(:kind, :score)

  # The share of a process: asked as `side_by_side` asks.
  def self.share(asked)
    order = asked["segments"].each_with_index.to_h
    segments = Segment.where(id: asked["segments"]).sort_by { |segment| order[segment.id] }
    new(Project.find(asked["project"]), asked["stores"]).share(segments, asked["turn"], asked["count"])
  end

  # stores: [[memory id, penalty] …]; operation: that it is part of, and that may be cancelled.
  def initialize(project, stores, operation = nil)
    @project, @stores, @operation = project, stores, operation
  end

  # segments: of the project, in order. Yields how many are done; returns [[Content, Found or nil, band with
  # likeness inside where processes worked it out] …].
  def rows(segments, &progress)
    Segment::RemoteProposals.fetch(@project, segments) if @stores.any? && segments.any?
    many = segments.map(&:source).uniq.size >= APART
    return side_by_side(segments, &progress) if many && ProcessPool.cores > 1
    return segments.map { |segment| [segment.source_content, nil] } if @stores.empty?

    one_after_the_other(segments, &progress)
  end

  # One share of the work, for a process of its own: every count-th text from the turn-th on. Returns
  # [[index, kind, score, band with likeness inside] …], kind and score nil where there is no match.
  def share(segments, turn, count)
    places = segments.each_index.group_by { |index| segments[index].source }.values
    own = places.each_slice(count).filter_map { |texts| texts[turn] }
    found, known = Array.new(segments.size), {}
    own.flatten.sort.each { |index|
      found[index] = known.fetch(segments[index].source) {
        best(segments, index, known)
      }
    }
    inside = likeness(segments, found, own.flatten)
    own.flatten.map { |index| [index, *(found[index]&.to_a || [nil, nil]), inside[index]] }
  end

  private

  # What stands around a segment only matters to an exact match, so others hold for all of the same text.
  def best(segments, index, known)
    match = lookup.best(query(segments, index), Counting::Bands::FLOORS.keys)
    found = match && Found.new(match.kind, match.score)
    known[segments[index].source] = found unless match && match.raw == 100
    found
  end

  # The bands with likeness inside of the segments at the indexes.
  def likeness(segments, found, indexes)
    contents = segments.map(&:source_content)
    all = Counting::Bands.assign(contents.zip(found))
    bands = Array.new(segments.size)
    indexes.each { |index| bands[index] = all[index] }
    Counting::Likeness.bands(contents, bands, @project.counted_languages)
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
        known = @stores.filter_map { |id, penalty| memories[id]&.store(penalty) }
        Glossema::Matching::Lookup.new(known)
      end
  end

  def one_after_the_other(segments)
    known = {}
    found =
      segments.each_with_index.map do |segment, index|
        report_progress(index) { |done| yield done if block_given? } if (index % STEP).zero?
        known.fetch(segment.source) { best(segments, index, known) }
      end
    segments.map(&:source_content).zip(found)
  end

  def report_progress(done)
    @operation&.checkpoint
    yield done
  end

  def side_by_side(segments, &progress)
    found, inside = Array.new(segments.size), Array.new(segments.size)
    done, asked = 0, { project: @project.id, stores: @stores, segments: segments.map(&:id) }
    ProcessPool.each_answer("bands", asked, operation: @operation) do |answer|
      answer.each do |index, kind, score, band|
        found[index], inside[index] = (Found.new(kind, score) if kind), band
      end
      done += segments.size / ProcessPool.cores
      progress&.call(done)
    end
    segments.map(&:source_content).zip(found, inside)
  end
end
