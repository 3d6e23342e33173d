# How an entry was before each change, the latest first.
module Api
  class TermVersionsController < BaseController
    def index
      entry = reached_in(TermEntry, :termbase, Termbase, params[:term_entry_id])
      versions = entry.versions.where.not(data: nil).includes(operation: :user).order(id: :desc)
      answer(TermVersionResource.new(versions))
    end
  end
end
