# A segment split in two, or joined with the next.
module Api
  class CutsController < BaseController
    takes at: :number

    # params: at, an offset in the source's text in code points.
    def create
      cue? ? document.split_cue(segment, at, by: current_user) : document.split(segment, at, by: current_user)
      render json: listing
    end

    # Joins; answers also after which text the border stood.
    def destroy
      ending = Document::Cutting.ending(segment.source_content)
      return join_cue if cue?

      document.join(segment, by: current_user)
      render json: listing.merge(after: ending)
    end

    private

    # Where a cue is cut its time is, too.
    def cue? = segment.block == "cue"
    def at = params[:at].to_i

    def join_cue
      document.join_cue(segment, by: current_user)
      render json: listing
    end

    def segment = @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
    def document = @document ||= segment.document

    def listing
      place = segment.position
      operation = document.changed.id
      document.reload
      { open: document.segments.find_by(position: place)&.id, operation: operation }
    end
  end
end
