# What was done to a termbase, each act undone from there.
module Api
  class TermbaseActsController < BaseController
    def index
      termbase = reached(Termbase, params[:termbase_id])
      answer(TermbaseActResource.new(termbase.acts.includes(:user).order(id: :desc).limit(100)))
    end

    def show = answer(TermbaseActResource.new(act))

    # Undoes it. Entries changed since are left as they are.
    def destroy
      act.undo
      answer(TermbaseActResource.new(act))
    end

    private

    def act = @act ||= reached_in(TermbaseAct, :termbase, Termbase, params[:id])
  end
end
