# Entries of a termbase deleted, one or many at once.
module Api
  class TermDeletionsController < BaseController
    takes ids: [:id]

    # params: ids. Answers the operation.
    def create
      termbase = reached(Termbase, params[:termbase_id])
      entries = termbase.entries.there.where(id: Array(params[:ids]))
      summary = entries.first&.entry&.terms&.first&.written.to_s
      ids = entries.ids
      started(Operations::TermDeletion.start(termbase, by: current_user, total: ids.size, summary: summary,
        input: { "ids" => ids }))
    end
  end
end
