# Words looked up in the memories of a project that are on other servers.
class Project::RemoteConcordance
  LIMIT = 20

  def initialize(project, text, side, way)
    @project = project
    side = side == "target" ? "target" : "source"
    @asked = { "text" => text.strip, "side" => side, "way" => way || "phrase", "limit" => LIMIT }
  end

  # {sources: [{name:, state:, said:}], hits: [{…}] as of Memory::Concordance}
  def to_h
    return { sources: [], hits: [] } if @asked["text"].empty?

    answers = sources.map { |source| [source, *RemoteSource::Desk.ask(source, [question(source)])] }
    { sources: answers.map { |source, state, said| { name: source.item.name, state: state, said: said } },
      hits: answers.flat_map { |source, state, _| state == "answered" ? hits(source) : [] } }
  end

  private

  def sources = @project.attachments.usable.includes(memory: :remote).filter_map { |row| row.memory.remote }

  def question(source)
    RemoteSource::Desk::Question.new(kind: "concordance", pair: source.item_pair, project: @project,
      text: @asked.to_json, asked: @asked)
  end

  def hits(source)
    digest = question(source).digest
    answer = RemoteAnswer.known(source, [digest])[digest] or return []
    units = answer["units"].to_a.filter_map { |one| Glossema::Remote::Unit.from_h(one) }
    Memory::Concordance.new([], text: @asked["text"], side: @asked["side"], way: @asked["way"])
      .of_server(units, source.item.name)
  end
end
