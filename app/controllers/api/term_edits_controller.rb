# The same said of many entries of a termbase at once.
module Api
  class TermEditsController < BaseController
    takes ids: [:id], subject: :text, status: :text, lang: :text

    # params: ids; subject: its new subject field; or status: of all their terms in the language lang
    # ("forbidden" for a forbidden term). Answers the operation.
    def create
      entries = termbase.entries.there.where(id: Array(params[:ids]))
      check(params[:status])
      summary = entries.first&.entry&.terms&.first&.written.to_s
      ids = entries.ids
      started(Operations::TermEdit.start(termbase, by: current_user, total: ids.size, summary: summary,
        input: { "ids" => ids, **params.permit(:subject, :status, :lang).to_h }))
    end

    private

    def termbase = @termbase ||= reached(Termbase, params[:termbase_id])

    def check(status)
      known = [*Glossema::Terms::STATUSES, "forbidden", "none", nil]
      raise Glossema::Refused.new("status-unknown", status: status) unless known.include?(status)
    end
  end
end
