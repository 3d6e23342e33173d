# Where the memories hold another translation for the same source.
module Api
  class MemoryRivalsController < BaseController
    def index
      render json: { rivals: Project::MemoryRivals.new(project).all.map { |rival| row_of(rival) } }
    end

    private

    def row_of(rival)
      segment, unit = rival.segment, rival.unit
      { segment_id: segment.id, number: segment.position, file: segment.document.name, state: segment.state,
        source: segment.source_content.text, target: segment.target_content.text, memory: unit.memory.name,
        unit_id: unit.id, held: unit.target_content.text, author: unit.author, updated_at: unit.updated_at }
    end
  end
end
