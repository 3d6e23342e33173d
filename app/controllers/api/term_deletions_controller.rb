# Entries of a termbase put away, one or many at once.
module Api
  class TermDeletionsController < BaseController
    # params: ids. Answers the act, which can be undone.
    def create
      termbase = reached(Termbase, params[:termbase_id])
      entries = termbase.entries.there.where(id: Array(params[:ids]))
      summary = entries.first&.entry&.terms&.first&.written
      act = termbase.act("delete", by: current_user, summary: summary) do |recorder|
        entries.each { |entry| recorder.delete(entry) }
      end
      answer(TermbaseActResource.new(act), status: :created)
    end
  end
end
