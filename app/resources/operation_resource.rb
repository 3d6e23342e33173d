# Long work or a change, how far it is, what it came to, and what can be done about it.
class OperationResource < ApplicationResource
  typelize kind: "OperationKind", state: "OperationState", phase: "string | null", message: "string | null",
    author: "string | null", subject_type: "string | null", subject_id: "number | null"

  attributes :id, :kind, :subject_type, :subject_id, :summary, :undoing, :phase, :done, :total, :message,
    :created_at, :finished_at, :undone_at
  # What is done and still draws its page or its index cannot be undone yet: it is running to whoever waits.
  attribute(:state) do |operation|
    operation.active? && %w[done undone].include?(operation.state) ? "running" : operation.state
  end
  attribute(:author) { |operation| operation.user&.name }
  typelize result: "OperationResult", seconds_left: "number | null", waiting_for: "WaitingFor | null"
  attribute(:result, &:shown_result)
  attribute(:seconds_left, &:seconds_left)
  attribute(:waiting_for, &:waiting_for)
  typelize undoable: "boolean", retryable: "boolean", cancellable: "boolean", file: "string | null"
  attribute(:undoable, &:undoable?)
  attribute(:retryable, &:retryable?)
  attribute(:cancellable) { |operation| Operation::UNDER_WAY.include?(operation.state) }
  # The name of the file that it made.
  attribute(:file) { |operation| operation.output.filename.to_s if operation.output.attached? }
end
