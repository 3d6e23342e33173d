# Remarks of a pass inside: made on a segment or on words in it, answered, settled.
module Api
  class RemarksController < BaseController
    takes segment_id: :id, text: :text, error_type: :text, severity: :text,
      spot: { side: :text, from: :number, to: :number, text: :text }, answer: :text, settled: :flag,
      deleted: :flag

    # params: segment_id, text, error_type, severity, spot.
    def create
      round = ReviewRound.open_to(current_user).find(params[:review_round_id])
      round.check_right(current_user, "remark")
      segment = ReviewRound::Passages.new(round).find(params[:segment_id])
      answer(NoteResource.new(heard(Note.remark(round, segment, given, by: current_user))), status: :created)
    end

    # params: text, error_type, severity, by its author or the owner of the project; answer, settled; deleted:
    # false brings it back.
    def update
      check
      check_own if (given.keys - ["spot"]).any? || params.key?(:deleted)
      Note.transaction { change }
      answer(NoteResource.new(heard(remark)))
    end

    def destroy
      check
      check_own
      remark.update!(deleted_at: Time.current)
      heard(remark)
      head :no_content
    end

    private

    def given
      params.permit(:text, :error_type, :severity, spot: %i[side from to text]).to_h
    end

    def remark
      @remark ||= Note.where(kind: "remark",
        review_round: ReviewRound.open_to(current_user)).find(params[:id])
    end

    def check = remark.review_round.check_right(current_user, "remark")

    def check_own
      return if [remark.user_id, remark.project.user_id].include?(current_user.id)

      raise Glossema::Refused.new("remark-other", author: remark.author)
    end

    def change
      remark.update!(given.slice("text", "error_type", "severity"))
      remark.answer_with(params[:answer].to_s, by: current_user.name) if params.key?(:answer)
      remark.update!(settled_at: params[:settled] ? Time.current : nil) if params.key?(:settled)
      remark.update!(deleted_at: nil) if params[:deleted] == false
    end

    # All who have the round or the project open hear of it.
    def heard(note)
      note.review_round.announce(tab: request.headers["X-Tab"])
      note.project.announce("notes")
      note
    end
  end
end
