# Find and replace in segments of a project. input: "asked", see ::Replacement; "side"; "ids" of the segments;
# "confirmed": "stay" or "draft", what becomes of those that were confirmed.
class Operations::Replacement < Operation
  include Operation::RevertsSegments

  self.default_weight = "interactive"
  self.reverts_when_stopped = true

  def perform
    replacement = ::Replacement.new(subject, input["asked"].symbolize_keys, side: input["side"])
    changed = result["count"].to_i
    in_steps(input["ids"], counter: "segments") do |id|
      changed += 1 if replacement.write(id, input["confirmed"], tag: tag, by: user)
      result["count"] = changed
    end
    note("count" => changed)
    subject.announce("recut")
  end
end
