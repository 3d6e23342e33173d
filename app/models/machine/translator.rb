# Translates texts of a project by the service of its owner, if that is switched on and allowed for its
# client: nothing is sent that was sent before, and all that is sent stands in a ledger.
class Machine::Translator
  # The translator of a project, or nil where no text of it may be sent.
  def self.for(project)
    return unless project.client&.machine

    services = project.user.machine_services.active.order(:id)
    service = services.find { |one| one.translates?(project.source_lang, project.target_lang) }
    service && new(service, project)
  end

  attr_reader :record

  def initialize(record, project)
    @record, @project = record, project
  end

  # segments → [Glossema::Machine::Markup::Answer …] of their sources. Raises Refused "machine-…".
  def answers(segments)
    known = known(segments.map(&:source_content))
    fresh = segments.uniq { |segment| digest(segment.source_content) }
    fresh.reject! { |segment| known.key?(digest(segment.source_content)) }
    ask(fresh, known) if fresh.any?
    segments.map(&:source_content).map { |content| read(known[digest(content)], content) }
  end

  # {segment => Content it gave before} of those of some segments that it was asked for.
  def given_for(segments)
    known = known(segments.map(&:source_content))
    segments.each_with_object({}) do |segment, given|
      answer = known[digest(segment.source_content)] or next
      given[segment] = read(answer, segment.source_content).content
    end
  end

  # What it gave for a text before, a Content, or nil; nothing is sent.
  def given(content)
    answer = known([content])[digest(content)]
    answer && read(answer, content).content
  end

  # The same for pre-translation: what fails costs nothing but its translation.
  def translate(segments)
    answers(segments).map(&:content)
  rescue Glossema::Refused => e
    @trouble = e.message
    segments.map { nil }
  end

  # Why something was not translated, or nil.
  attr_reader :trouble

  private

  def known(contents)
    found = @record.answers.where(digest: contents.map { |content| digest(content) }.uniq)
    found.to_h { |answer| [answer.digest, [answer.target, answer.lost]] }
  end

  def digest(content)
    Digest::SHA256.hexdigest([@project.source_lang, @project.target_lang, content.written].join("\u0000"))
  end

  def ask(segments, known)
    contents = segments.map(&:source_content)
    connector.answers(contents, around(segments)).zip(contents) do |answer, content|
      known[digest(content)] = [answer.content.written, answer.lost]
    end
    keep(contents, known)
    note(contents, "ok")
  rescue Glossema::Refused => e
    note(contents, e.message)
    raise
  end

  def connector
    Machine::Connector.new(@record.service, source_lang: @project.source_lang,
      target_lang: @project.target_lang, known: { "instructions" => @record.instructions })
  end

  # What the template asks for besides each text: nothing else is sent.
  def around(segments)
    template = @record.template
    segments.map { |segment| Machine::Around.new(segment, template).to_h }
  end

  def keep(contents, known)
    rows = contents.map do |content|
      target, lost = known[digest(content)]
      { machine_service_id: @record.id, digest: digest(content), target: target, lost: lost,
        created_at: Time.current }
    end
    MachineAnswer.insert_all(rows)
  end

  def note(contents, outcome)
    characters = contents.sum { |content| content.text.length }
    @record.requests.create!(project: @project, client: @project.client&.name, texts: contents.size,
      characters: characters, outcome: outcome, **@record.cost_of(outcome == "ok" ? characters : 0))
  end

  def read(answer, content)
    target, lost = answer
    Glossema::Machine::Markup::Answer.new(Glossema::Content.parse(target, content), lost)
  end
end
