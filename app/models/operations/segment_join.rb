# A segment joined with the next one by hand.
class Operations::SegmentJoin < Operations::SegmentSplit
end
