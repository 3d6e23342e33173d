# Looks at the segments of a project that have changed since they were checked, or that are checked against
# something else now, and keeps what was found.
class Project::CheckRun
  BATCH = 100
  # Up to this many segments are checked within the request; more in the background.
  FEW = 300
  # From so many on each core takes its share.
  MANY = 3000
  # What is checked of a segment, as it stands in the database.
  SEEN = <<~SQL.squish.freeze
    segments.source || char(31) || segments.target || char(31) || segments.state || char(31) ||
    IFNULL(segments."limit", '') || char(31) || IFNULL(json_extract(segments.origin, '$.kind'), '') ||
    char(31) || IFNULL(json_extract(segments.origin, '$.score'), '') || char(31) ||
    IFNULL(json_extract(segments.origin, '$.touched'), '') || char(31) ||
    IFNULL(json_extract(segments.origin, '$.match'), '')
  SQL

  def self.share(asked)
    project = Project.find(asked["project"])
    ids = asked["ids"].each_slice((asked["ids"].size / asked["count"].to_f).ceil).to_a[asked["turn"]]
    new(project).found(ids.to_a)
  end

  def initialize(project)
    @project = project
  end

  # Segments that have a translation.
  def translated
    @project.segments.joins(:document).where.not(target: "").where(documents: { role: "current" })
  end

  # Those of them that must be looked at.
  def stale
    translated.left_joins(:checked).where(
      "checked_segments.id IS NULL OR checked_segments.stamp <> ? OR checked_segments.seen <> (#{SEEN})",
      @project.check_stamp
    )
  end

  # Looks at what changed where it is little. Returns how many are left.
  def look_at_few
    ids = stale.limit(FEW + 1).ids
    return stale.count if ids.size > FEW

    keep(found(ids))
    Project::RemoteTerms.new(@project).ask(ids)
    0
  end

  # Begins a run over all that is left, unless one is going on. Returns the operation.
  def begin(by:)
    going_on || Operations::CheckRun.start(@project, by: by, total: stale.count)
  end

  # The run that is under way, or nil.
  def going_on = Operations::CheckRun.where(subject: @project).under_way.last

  # Looks at all that is left, as an operation.
  def run(operation)
    ids, done = stale.order(:id).ids, 0
    operation.progress(0, ids.size)
    Project::RemoteTerms.new(@project).fetch(ids)
    each_found(ids, operation) do |rows|
      keep(rows)
      operation.progress(done += rows.size, ids.size)
      @project.announce("checked")
    end
  end

  # {segment id => {"seen", "findings", "terms"}}
  def found(ids)
    @project.segments.where(id: ids).select("segments.*", "#{SEEN} AS seen").to_h do |segment|
      pair = @project.pair_of(segment)
      [segment.id, { "seen" => segment.seen, "terms" => terms(pair),
                     "findings" => @project.checker.findings(pair).map { |one| stored_finding(one) } }]
    end
  end

  # Keeps what `found` returned. What was cut anew or taken out while it was looked at is left out.
  def keep(rows)
    stamp = @project.check_stamp
    rows.each_slice(BATCH) do |slice|
      ShortTransaction.run do
        there = @project.segments.where(id: slice.map(&:first)).ids.to_set
        list = slice.filter_map { |id, row| { segment_id: id, stamp: stamp, **row } if there.include?(id) }
        CheckedSegment.upsert_all(list, unique_by: :segment_id) if list.any?
      end
    end
  end

  private

  def each_found(ids, operation)
    return ids.each_slice(BATCH) { |slice| yield found(slice) } if ids.size < MANY || ProcessPool.cores < 2

    ProcessPool.each_answer("checks", { project: @project.id, ids: ids }, operation: operation) do |answer|
      answer.each_slice(BATCH) { |rows| yield rows.to_h }
    end
  end

  def stored_finding(finding) = finding.to_h.except(:other).transform_keys(&:to_s)

  def terms(pair)
    uses = @project.vocabulary&.uses(pair.from, pair.into).to_a
    uses.map { |use| use.to_h.transform_keys(&:to_s) }
  end
end
