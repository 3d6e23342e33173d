# A segment split in two, or joined with the next.
module Api
  class CutsController < BaseController
    # params: at, an offset in the source's text in code points.
    def create
      document.split(segment, params[:at].to_i, by: current_user)
      render json: listing
    end

    # Joins; answers also after which text the border stood.
    def destroy
      ending = Document::Cutting.ending(segment.source_content)
      document.join(segment, by: current_user)
      render json: listing.merge(after: ending)
    end

    private

    def segment = @segment ||= Segment.where(project: current_user.projects).find(params[:segment_id])
    def document = @document ||= segment.document

    def listing
      place = segment.position
      document.reload
      { open: document.segments.find_by(position: place)&.id }
    end
  end
end
