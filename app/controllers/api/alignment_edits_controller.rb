# Acts on the beads of an alignment: done, taken back, done again.
module Api
  class AlignmentEditsController < BaseController
    takes act: :text, at: :number, above: :decimal, side: :text, index: :number, offset: :number,
      text: :text, note: :text

    # params: act, at and what it needs, see Glossema::Alignment::Editing; or above: all surer ones are
    # confirmed.
    def create
      render_told do |alignment|
        if params[:above]
          alignment.confirm_all(params[:above].to_f)
        else
          alignment.act(params[:act].to_s, params[:at].to_i,
            params.permit(:side, :index, :offset, :text, :note).to_h)
        end
      end
    end

    # The one taken back last is done again.
    def update = render_told(&:redo)

    # The last one is taken back.
    def destroy = render_told(&:undo)

    private

    def render_told
      alignment = current_user.alignments.find(params[:alignment_id])
      replaced = alignment.with_lock { yield(alignment) }.map do |one|
        { **one, beads: alignment.shown(one[:beads]) }
      end
      render json: { replaced: replaced, alignment: AlignmentResource.new(alignment).to_h }
    end
  end
end
