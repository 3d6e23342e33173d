# Her own text cut by rules she is editing, and by those that hold now.
module Api
  class RuleTrialsController < BaseController
    MAX = 20_000

    def create
      owner = params[:project_id] ? project : current_user
      edited, now =
        [Glossema::Segmentation::Srx.from_h(rule_groups), Rules.new(owner).srx].map do |srx|
          Glossema::Segmentation::Segmenter.new(params[:language].presence || "en", rules: srx)
        end
      render json: edited.compare(params[:text].to_s[0, MAX], now)
    end
  end
end
