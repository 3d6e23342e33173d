# What each of some segments would get from the memories of their project: one after the other, or, where they
# are many, by a process for each core.
class Pretranslation::Search
  # From so many segments on, processes are worth their start.
  APART = 400
  # Progress is told after so many segments.
  STEP = 25

  # The share of a process.
  def self.share(asked)
    own = asked["ids"].each_slice(asked["count"]).filter_map { |ids| ids[asked["turn"]] }
    new(Project.find(asked["project"]), asked["threshold"]).found(own)
  end

  # threshold: the lowest score taken.
  def initialize(project, threshold)
    @project, @threshold = project, threshold
  end

  # ids: of segments. Returns {id => {"target", "kind", "score", "memory", "unit"}} of those that get
  # something, or nil when the block, which is given how many are done, answered :stop.
  def run(ids, &progress)
    Segment::Elsewhere.fetch(@project, @project.segments.where(id: ids).to_a)
    return found(ids, &progress) if ids.size < APART || SharedOut.cores < 2

    all, done = {}, 0
    SharedOut.each_answer("targets", { project: @project.id, threshold: @threshold, ids: ids }) do |answer|
      all.merge!(answer)
      done += ids.size / SharedOut.cores
      return nil if progress&.call(done) == :stop
    end
    all
  end

  def found(ids)
    segments = @project.segments.where(id: ids).index_by(&:id)
    beside = neighbours(segments.values)
    ids.each_with_index.with_object({}) do |(id, index), all|
      return nil if block_given? && (index % STEP).zero? && yield(index) == :stop

      segment = segments[id] or next
      got = best(segment, beside)
      all[id] = got if got
    end
  end

  private

  def best(segment, beside)
    around = [-1, 1].map { |step| beside[[segment.document_id, segment.position + step]] }
    result = ahead.best(segment.query(*around, of: @project)) or return
    target = result.target.fitted(segment.source_content)
    { "target" => target.written, "kind" => result.kind, "score" => result.score, "memory" => result.memory }
  end

  # {[document id, position] => segment} of those that stand beside them.
  def neighbours(segments)
    documents = segments.map(&:document_id).uniq
    @project.whole_text.where(document_id: documents).index_by { |one| [one.document_id, one.position] }
  end

  def ahead
    @ahead ||=
      begin
        Glossema::Forms::Dates.prepare(@project.source_lang, @project.target_lang)
        Glossema::Pretranslation.new(@project.lookup(terms: true), threshold: @threshold)
      end
  end
end
