# Entries of a termbase deleted, one or many at once.
module Api
  class TermDeletionsController < BaseController
    takes ids: [:id]

    # params: ids. Answers the operation.
    def create
      right = Array(params[:ids]).size > 1 ? "manage" : "edit"
      termbase = reached(Termbase, params[:termbase_id], right: right)
      entries = termbase.entries.there.where(id: Array(params[:ids]))
      summary = entries.first&.entry&.terms&.first&.written.to_s
      ids = entries.ids
      started(Operations::TermDeletion.start(termbase, by: current_user, total: ids.size, summary: summary,
        input: { "ids" => ids }))
    end
  end
end
