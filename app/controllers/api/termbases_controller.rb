# Termbases: those there are, a new one, another name, away with one.
module Api
  class TermbasesController < BaseController
    takes name: :text, description: :text, client_id: :id

    def index
      there = current_user.access.readable(Termbase).present.order(:name)
      answer(TermbaseResource.new(there, params: { access: current_user.access }))
    end

    def show
      answer(TermbasePageResource.new(reached(Termbase, params[:id]),
        params: { access: current_user.access }))
    end

    def create
      made = current_user.termbases.create!(given)
      answer(TermbaseResource.new(made), status: :created)
    end

    def update
      termbase.update!(given)
      answer(TermbasePageResource.new(termbase))
    end

    # It is kept for a while and can be brought back.
    def destroy
      termbase.move_to_trash
      head :no_content
    end

    private

    def termbase = @termbase ||= owned(Termbase, params[:id])

    def given
      current_user.clients.find(params[:client_id]) if params[:client_id].present?
      params.permit(:name, :description, :client_id)
    end
  end
end
