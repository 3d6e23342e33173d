# A unit edited by hand.
class Operations::UnitEdit < Operation
  include Operation::RevertsUnits
end
