# What segments would get from memories and machine translation; nothing is written. input: "ids",
# "threshold", "machine", "which", "confirms", see ::Pretranslation. Its output is the plan that a
# pretranslation writes.
class Operations::PretranslationPreview < Operation
  self.exclusive = false
  self.in_activity = false
  self.superseding = true

  def perform = ::Pretranslation.new(self).preview
  def shown_result = input.slice("threshold", "machine", "which", "confirms").merge(result)

  def heavy? = Operation::ChildProcess.worth?(segments: total)

  private

  def abandon = output.purge_later
end
