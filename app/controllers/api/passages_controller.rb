# The segments of a pass inside, as its reviser reads and writes them.
module Api
  class PassagesController < BaseController
    takes against: :text, draft: :text, target: :text, read: :flag, version: :number

    ERROR_TYPES = { kinds: Glossema::Review::ErrorTypes::KINDS,
                    severities: Glossema::Review::ErrorTypes::SEVERITIES }.freeze

    # params: against: the key of the state that differences are told to, see ReviewRound::Passages.
    def index
      list = ReviewRound::Passages.new(round, against: params[:against].to_s)
      render json: { round: ReviewRoundResource.new(round).to_h, right: round.right_of(current_user),
                     project: about(round.project), states: list.states, against: list.against,
                     documents: documents, error_types: ERROR_TYPES, passages: list.rows,
                     remarks: NoteResource.new(round.remarks.includes(:document, :segment)).to_h }
    end

    # params: draft: what is being written, kept aside, nil drops it; target, read: the text as it shall read,
    # and that it was read; read: false, it is to be read again; version: the segment's that was written on.
    def update
      list = ReviewRound::Passages.new(round, against: params[:against].to_s)
      segment = list.find(params[:id])
      round.check_right(current_user, "remark")
      segment.with_lock { write(segment) }
      round.announce(tab: request.headers["X-Tab"])
      announce_segments(round.project, [segment])
      render json: { passage: ReviewRound::Passages.new(round, against: list.against).row(segment.reload) }
    end

    private

    def round
      @round ||= ReviewRound.open_to(current_user).find_by!(id: params[:review_round_id], way: "inside")
    end

    def about(project)
      known = project.slice("id", "reference", "name", "source_lang", "target_lang")
      { **known, owner: project.user.name, own: project.user_id == current_user.id }
    end

    def documents
      ids = Segment.where(id: round.base.keys).distinct.select(:document_id)
      Document.where(id: ids).order(:position).map { |document| document.slice("id", "name") }
    end

    def write(segment)
      return round.keep_draft(segment, params[:draft]) if params.key?(:draft)
      return round.unread(segment, by: current_user) if params[:read] == false

      wanted = params.fetch(:target, segment.target).to_s
      raise Glossema::Refused.new("changed-meanwhile") if meanwhile?(segment, wanted)

      round.read(segment, wanted, by: current_user)
    end

    def meanwhile?(segment, wanted)
      params[:version].present? && params[:version].to_i != segment.version && wanted != segment.target
    end
  end
end
