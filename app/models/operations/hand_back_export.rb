# What is handed back of a project that came as a hand-over.
class Operations::HandBackExport < Operation
  include Operation::MakesPackage

  self.default_weight = "interactive"
  self.exclusive = false
  self.in_activity = false

  def heavy? = Operation::ChildProcess.worth?(segments: subject.segments.count)

  private

  def package = HandOver::Back.new(subject)
  def small? = subject.segments.count <= Operation::SMALL
end
