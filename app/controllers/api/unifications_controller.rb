# One wording for a source that has two.
module Api
  class UnificationsController < BaseController
    takes key: :text, way: :text, segment_id: :id, unit_id: :id

    # params: key: of a finding, and way: of Project::ConsistencyFix::WAYS; or segment_id and
    # unit_id: of the memory
    # whose wording the segment takes. Answers the operation.
    def create
      started(Operations::Unification.start(project, by: current_user, input: input))
    end

    private

    def input = params[:unit_id] ? from_memory : from_finding

    def from_finding
      way = Project::ConsistencyFix::WAYS.include?(params[:way]) ? params[:way] : "here"
      { "key" => params[:key].to_s, "way" => way }
    end

    def from_memory
      memories = project.attachments.usable.pluck(:memory_id)
      unit = TranslationUnit.where(memory_id: memories).find(params[:unit_id])
      { "segment_id" => project.segments.find(params[:segment_id]).id, "unit_id" => unit.id }
    end
  end
end
