# A unit that a confirmed segment had made reads differently now; its history keeps what it was.
class Operations::UnitLearning < Operation
  include Operation::RevertsUnits

  self.in_activity = false
  self.right_needed = "add"
end
