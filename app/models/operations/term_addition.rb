# An entry made.
class Operations::TermAddition < Operation
  include Operation::RevertsEntries

  self.right_needed = "add"
end
