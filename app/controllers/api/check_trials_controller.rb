# Tests a custom check before it is saved: on a pair that is typed, and on the text of the project.
module Api
  class CheckTrialsController < BaseController
    takes rule: :any, source: :text, target: :text, source_lang: :text, target_lang: :text, project_id: :id

    # So many segments are gone through, and so many of those found are shown.
    SEGMENTS, SHOWN = 2000, 5
    LONGEST = 5000

    # params: rule: see Glossema::Checks::Own; source, target: texts; source_lang, target_lang; project_id, or
    # none.
    before_action :owner

    def create
      rule = Glossema::Checks::Own.new(object(:rule))
      found = rule.findings(typed_pair)
      render json: { findings: found.map { |one| one.to_h.except(:other) }, **in_project(rule),
                     given_up: rule.given_up? || false }
    end

    private

    def typed_pair
      source, target = %i[source target].map { |side| Glossema::Content.text(params[side].to_s[0, LONGEST]) }
      Glossema::Checks::Pair.new(source: source, target: target, source_lang: params[:source_lang].to_s,
        target_lang: params[:target_lang].to_s)
    end

    def in_project(rule)
      return { count: nil, examples: [] } unless params[:project_id]

      found = Project::CheckRun.new(project).translated.order("documents.position", :position).limit(SEGMENTS)
        .select { |segment| rule.findings(project.pair_of(segment)).any? }
      { count: found.size, examples: found.first(SHOWN).map { |segment| example(segment) } }
    end

    def example(segment)
      { number: segment.position, source: segment.source_content.text, target: segment.target_content.text }
    end
  end
end
