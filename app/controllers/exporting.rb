# Files that take a while to be made: an address answers the operation that makes the file as long as it is
# under way (202), then the file itself, once.
module Exporting
  # A file that nobody fetched is made anew after so long.
  FRESH = 2.minutes

  private

  # kind: a class of Operations; input: what tells this export from others of its kind.
  def export(kind, subject, input = {})
    operation = awaited(kind, subject, input) ||
      kind.start(subject, by: current_user, summary: subject.name.to_s, input: input)
    return started(operation) if operation.under_way?
    raise Glossema::Refused.new("export-failed",
      why: operation.message.to_s) unless operation.output.attached?

    operation.note("fetched" => true)
    send_blob(operation.output)
  end

  # One that the user began and has not fetched yet.
  def awaited(kind, subject, input)
    kind.where(subject: subject, user: current_user, created_at: 1.day.ago..).order(:id).last(5).reverse
      .find { |one| one.input == input && (one.under_way? || waits?(one)) }
  end

  def waits?(operation)
    operation.state == "done" && !operation.result["fetched"] && operation.finished_at > FRESH.ago
  end
end
