# The same said of many entries of a termbase at once, as one act.
module Api
  class TermEditsController < BaseController
    # params: ids; subject: its new subject field; or status: of all their terms in the language lang
    # ("forbidden" for one not to be used). Answers the act, which can be undone.
    def create
      entries = termbase.entries.there.where(id: Array(params[:ids])).to_a
      check(params[:status])
      summary = entries.first&.entry&.terms&.first&.written
      act = termbase.act("edit", by: current_user, summary: summary) do |recorder|
        entries.each { |record| recorder.change(record, changed(record.entry)) }
      end
      answer(TermbaseActResource.new(act), status: :created)
    end

    private

    def termbase = @termbase ||= reached(Termbase, params[:termbase_id])

    def check(status)
      known = [*Glossema::Terms::STATUSES, "forbidden", "none", nil]
      raise Glossema::Refused.new("status-unknown", status: status) unless known.include?(status)
    end

    def changed(entry)
      entry.subject = params[:subject].to_s.strip.presence if params.key?(:subject)
      if params[:status]
        entry.in(params[:lang].to_s).flat_map(&:terms).each { |term| mark(term, params[:status]) }
      end
      entry
    end

    def mark(term, status)
      term.forbidden = status == "forbidden"
      term.status = Glossema::Terms::STATUSES.include?(status) ? status : nil
    end
  end
end
