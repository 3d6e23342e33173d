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

  # threshold: the lowest score that counts; operation: that it is part of, and that may be cancelled.
  def initialize(project, threshold, operation = nil)
    @project, @threshold, @operation = project, threshold, operation
  end

  # ids: of segments. Yields how many are done; returns {id => {"target", "kind", "score", "memory", "unit"}}
  # of those that get something.
  def run(ids, &progress)
    Segment::RemoteProposals.fetch(@project, @project.segments.where(id: ids).to_a)
    return found(ids, &progress) if ids.size < APART || ProcessPool.cores < 2

    all, done = {}, 0
    asked = { project: @project.id, threshold: @threshold, ids: ids }
    ProcessPool.each_answer("targets", asked, operation: @operation) do |answer|
      all.merge!(answer)
      done += ids.size / ProcessPool.cores
      progress&.call(done)
    end
    all
  end

  def found(ids)
    segments = @project.segments.where(id: ids).index_by(&:id)
    beside = neighbours(segments.values)
    ids.each_with_index.with_object({}) do |(id, index), all|
      yield index if block_given? && (index % STEP).zero?

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
