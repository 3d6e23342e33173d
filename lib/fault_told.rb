# An error as logs tell it: its kind, what caused it, and where. Its message may hold what somebody typed.
module FaultTold
  LINES = 20

  def self.describe(error)
    kinds = []
    cause = error
    while cause && kinds.size < 5
      kinds << cause.class.name
      cause = cause.cause
    end
    ["#{kinds.join(", because of ")}:", *error.backtrace.to_a.first(LINES)].join("\n  ")
  end
end
