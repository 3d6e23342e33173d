# A change to the beads of an alignment. before: "replaced", [{"at", "before", "after"}, …]; one that was
# undone can be done again.
class Operations::AlignmentEdit < Operation
  self.in_activity = false
end
