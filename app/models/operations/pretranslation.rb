# Segments translated from memories and machine translation, as a preview of it said. input: as of the
# preview; output: its plan.
class Operations::Pretranslation < Operation
  include Operation::RevertsSegments

  self.default_weight = "bulk"
  self.reverts_when_stopped = true

  def perform
    ::Pretranslation.new(self).write
    subject.announce("recut")
  end

  def shown_result = input.slice("threshold", "machine", "which", "confirms").merge(result)

  private

  def small? = false
end
