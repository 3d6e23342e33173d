# The segments of a project: all of them at once, and one being written.
module Api
  class SegmentsController < BaseController
    ORIGIN = {
      kind: :text, score: :number, match: :text, memory: :text, unit: :id, touched: :flag, from: :id
    }.freeze
    takes target: :text, origin: ORIGIN, confirm: :flag, marked: :flag, exempt: :flag,
      undone: :flag, withdrawn: :flag, base: :number

    def index
      scope = project.whole_text.joins(:document).order("documents.position", :position)
      documents =
        project.documents.select(&:ready?).map { |document| { id: document.id, name: document.name } }
      render json: %({"documents":#{JSON.generate(documents)},"segments":#{SegmentResource.listing(scope)}})
    end

    def show
      segment = Segment.where(project: current_user.projects).find(params[:id])
      render json: { segment: SegmentResource.new(segment).to_h }
    end

    # params: target, origin, confirm, marked, exempt; undone, when it is back as it was confirmed;
    # withdrawn, when it is back as it was before it was first confirmed; base, the
    # version that was written on: when another is there now, nothing is changed and both are answered.
    def update
      segment = Segment.where(project: current_user.projects).find(params[:id])
      raise Glossema::Refused.new("segment-locked") if segment.locked

      answer = segment.with_lock { meanwhile?(segment) ? nil : write(segment) }
      return conflict(segment) unless answer

      segment.project.update_columns(last_segment_id: segment.id, opened_at: Time.current)
      rows = announce_segments(segment.project, [segment, *answer[:filled]])
      render json: { segment: rows.first, repeats: rows.drop(1), others: answer[:others] }
    end

    private

    def meanwhile?(segment)
      base = params[:base].presence
      base && base.to_i != segment.version && params[:target].to_s != segment.target
    end

    def conflict(segment)
      refusal = Glossema::Refused.new("changed-meanwhile")
      render json: { error: error_of(refusal), segment: SegmentResource.new(segment).to_h }, status: :conflict
    end

    def write(segment)
      origin =
        params.fetch(:origin, { kind: "typed" }).permit(*Segment::ORIGIN).to_h
      segment.update!(exempt: params[:exempt]) if params.key?(:exempt)
      segment.marked = params[:marked] if params.key?(:marked)
      return segment.confirm(params[:target].to_s, origin: origin, by: current_user) if params[:confirm]

      draft(segment, origin)
    end

    def draft(segment, origin)
      segment.keep_draft(
        params.fetch(:target, segment.target).to_s,
        origin: params.key?(:target) ? origin : segment.origin,
        by: current_user,
        undone: params[:undone],
        withdrawn: params[:withdrawn]
      )
      { filled: [], others: 0 }
    end
  end
end
