# Entries changed: one by hand, or the same said of many. input: "ids", with "subject", or "status" of all
# their terms in the language "lang".
class Operations::TermEdit < Operation
  include Operation::RevertsEntries

  self.reverts_when_stopped = true

  def perform
    in_slices(input["ids"], SLICE, counter: "entries") do |ids|
      recording do |recorder|
        subject.entries.there.where(id: ids).each { |record| recorder.change(record, changed(record.entry)) }
      end
    end
    subject.announce_change
  end

  private

  def changed(entry)
    entry.subject = input["subject"].to_s.strip.presence if input.key?("subject")
    entry.in(input["lang"].to_s).flat_map(&:terms).each { |term|
      mark(term, input["status"])
    } if input["status"]
    entry
  end

  def mark(term, status)
    term.forbidden = status == "forbidden"
    term.status = Glossema::Terms::STATUSES.include?(status) ? status : nil
  end
end
