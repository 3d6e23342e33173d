# An entry made.
class Operations::TermAddition < Operation
  include Operation::RevertsEntries
end
