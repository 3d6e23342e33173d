# Which segments of a project fit conditions that only the server can tell.
module Api
  class SegmentFiltersController < BaseController
    takes expression: :text, side: :text, cased: :flag, by: :text, since: :text, termed: :flag

    # params: expression, side, cased, by, since, termed; without any it only says who wrote in the project.
    def show
      given = params.permit(:expression, :side, :cased, :by, :since, :termed)
        .to_h.symbolize_keys.compact_blank
      ids = given.except(:side, :cased).any? ? filtered(given).ids : nil
      render json: { segments: ids, authors: Project::SegmentFilter.authors(project) }
    end

    private

    def filtered(given)
      side = Project::SegmentFilter::SIDES.include?(given[:side]) ? given[:side] : "either"
      Project::SegmentFilter.new(project, **given, side: side, cased: given[:cased] || false,
        termed: given[:termed] || false)
    end
  end
end
