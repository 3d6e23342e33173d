# Segments pre-translated: a preview, then the writing of it. Both are operations.
module Api
  class PretranslationsController < BaseController
    takes threshold: :number, which: :text, machine: :flag, confirms: :text, segment_ids: [:id],
      preview_id: :id

    THRESHOLDS = (30..100)

    # params: threshold; machine: by machine what memories do not have; which: of Pretranslation::WHICH;
    # confirms: of Pretranslation::CONFIRMED; segment_ids: of those it is about, all of the project when left
    # out. Answers the operation of the preview.
    def create
      ids = params[:segment_ids] && Array(params[:segment_ids]).map(&:to_i)
      started(Pretranslation.preview(project, scope: ids, settings: settings, by: current_user))
    end

    # params: preview_id. Answers the operation that writes what the preview found.
    def update
      preview = Operations::PretranslationPreview.where(subject: project).find(params.require(:preview_id))
      started(Pretranslation.accept(preview, by: current_user))
    end

    private

    def settings
      {
        "threshold" => params.fetch(:threshold, 75).to_i.clamp(THRESHOLDS),
        "which" => Pretranslation::WHICH.include?(params[:which]) ? params[:which] : "untouched",
        "machine" => params[:machine].present?,
        "confirms" => Pretranslation::CONFIRMED.key?(params[:confirms]) ? params[:confirms] : "none"
      }
    end
  end
end
