# A text segmented by rules that are being edited, and by the current ones.
module Api
  class RuleTrialsController < BaseController
    takes groups: RULE_GROUPS, language: :text, text: :text

    MAX = 20_000

    def create
      now, edited =
        [Rules.new(owner).srx, Glossema::Segmentation::Srx.from_h(rule_groups)].map do |srx|
          Glossema::Segmentation::Segmenter.new(params[:language].presence || "en", rules: srx)
        end
      render json: edited.compare(params[:text].to_s[0, MAX], now)
    end
  end
end
