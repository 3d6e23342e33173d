# One translation where a source has several. input: "key" of a finding and "way", of
# Project::ConsistencyFix::WAYS; or
# "segment_id" and "unit_id" of the memory whose wording it takes.
class Operations::Unification < Operation
  include Operation::RevertsSegments

  self.default_weight = "interactive"
  self.reverts_when_stopped = true

  def perform
    from, into = Project::ConsistencyFix.new(subject).parts(input)
    in_steps(into, counter: nil) { |segment| rewrite(segment.reload, from) }
    note("count" => written.count)
    subject.announce("recut")
  end

  private

  # from: a segment, or a unit of a memory. Codes are those of the place it is put into.
  def rewrite(segment, from)
    segment.rewrite(from.target_content.fitted(segment.source_content).written, act: tag, by: user)
  end

  def small? = undoing? ? super : input["way"] != "everywhere"
end
