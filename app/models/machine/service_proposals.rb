# Several services asked for one text at the same time.
class Machine::ServiceProposals
  def initialize(translators)
    @translators = translators
  end

  # {proposal:, more:} of a segment: of the first service that gave something, and of the others. Raises
  # Refused where none gave anything.
  def proposals(segment)
    edits = Glossema::Matching::Edits.of_machine(Project::PostEditing.new(segment.project).lately)
    given = each_at_once { |translator| row(translator.answer(segment), translator.record, edits) }
    refused, rows = given.partition { |one| one.is_a?(Glossema::Refused) }
    raise refused.first if rows.empty?

    { proposal: rows.first, more: rows.drop(1) }
  end

  private

  # What the block gives for each, or the Refused that it raised.
  def each_at_once(&block)
    return @translators.map { |one| proposal_of(one, &block) } if @translators.one?

    threads = @translators.map do |translator|
      Thread.new { Rails.application.executor.wrap { proposal_of(translator, &block) } }
    end
    threads.map(&:value)
  end

  def proposal_of(translator)
    yield translator
  rescue Glossema::Refused => e
    e
  end

  def row(answer, service, edits)
    {
      id: "mt-#{service.id}", kind: "machine", score: nil, edits: edits, penalties: [],
      target: answer.content.written, source: nil, differences: [], service: service.name, lost: answer.lost
    }
  end
end
