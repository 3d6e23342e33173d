# Her own text cut by rules she is editing, and by those that hold now.
module Api
  class RuleTrialsController < BaseController
    MAX = 20_000

    def create
      groups = params.require(:groups).map { |group| { "name" => group[:name], "pattern" => group[:pattern], "rules" => Array(group[:rules]).map { |rule| rule.permit(:break, :before, :after, words: []).to_h } } }
      owner = params[:project_id] ? current_user.projects.find(params[:project_id]) : current_user
      text = params[:text].to_s[0, MAX]
      language = params[:language].presence || "en"
      now, then_ = [Rules.new(owner).srx, Glossema::Segmentation::Srx.from_h(groups)].map { |srx| text.lines(chomp: true).map { |line| Glossema::Segmentation::Segmenter.new(language, rules: srx).segments(line) } }
      render json: { lines: then_.each_with_index.map { |segments, index| segments.map { |segment| { text: segment, changed: now[index].exclude?(segment) } } }, before: now.sum(&:size), after: then_.sum(&:size) }
    end
  end
end
