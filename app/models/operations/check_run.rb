# The checks of a project run over all segments that changed since they were checked.
class Operations::CheckRun < Operation
  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def perform
    Project::CheckRun.new(subject).run(self)
    subject.announce("checked")
  end

  def heavy? = Operation::ChildProcess.worth?(segments: total)

  private

  def abandon = subject.announce("checked")
end
