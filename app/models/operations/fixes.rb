# Certain fixes put in: one, or all of a kind. input: "keys" of findings.
class Operations::Fixes < Operation
  include Operation::RevertsSegments

  self.default_weight = "interactive"
  self.reverts_when_stopped = true

  def perform
    fixing = Project::Fixing.new(subject, input["keys"])
    in_steps(fixing.segments, counter: nil) { |segment| fixing.mend(segment, tag: tag, by: user) }
    note("count" => written.count)
    subject.announce("recut")
  end
end
