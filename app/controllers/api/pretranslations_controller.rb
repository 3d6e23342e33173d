# Segments translated ahead: a look, the writing, and away with either.
module Api
  class PretranslationsController < BaseController
    THRESHOLDS = (30..100)

    # params: threshold; machine: by machine what memories do not know; which: of Pretranslation::WHICH;
    # confirms: of Pretranslation::CONFIRMED; segment_ids: of those it is about, all of the project when left
    # out.
    def create
      ids = params[:segment_ids] && Array(params[:segment_ids]).map(&:to_i)
      act = Pretranslation.begin(project, scope: ids, settings: settings, by: current_user)
      answer(ProjectActResource.new(act), status: :accepted)
    end

    def show = answer(ProjectActResource.new(act))

    # The look is taken: it is written.
    def update
      raise Glossema::Refused.new("look-first") unless act.facts["state"] == "looked"

      act.update!(facts: act.facts.merge("state" => "writing"))
      PretranslateJob.perform_later(act)
      answer(ProjectActResource.new(act))
    end

    # A look goes without a trace; what was written is taken back.
    def destroy
      %w[looking looked failed].include?(act.facts["state"]) ? act.destroy! : act.undo(by: current_user)
      head :no_content
    end

    private

    def act
      @act ||= ProjectAct.where(project: current_user.projects, kind: Pretranslation::KIND).find(params[:id])
    end

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
