# Translates texts of a project by a service of its owner, if that is switched on and allowed for its
# client: nothing is sent that was sent before, and all that is sent stands in a ledger.
class Machine::Translator
  # The translator of a project, or nil where no text of it may be sent.
  def self.for(project) = all(project).first

  # Those of all services that may be asked, in the order of the client.
  def self.all(project)
    return [] unless project.client&.machine

    services = project.user.machine_services.active.order(:id)
      .select { |one| one.translates?(project.source_lang, project.target_lang) }
    order = project.client.machine_order_of(project.source_lang, project.target_lang)
    services.sort_by.with_index { |service, index| [order.index(service.id) || order.size, index] }
      .map { |service| new(service, project) }
  end

  attr_reader :record

  def initialize(record, project)
    @record, @project = record, project
  end

  # segments → a Glossema::Machine::Markup::Answer of each source, nil for one that the service gives nothing
  # for; `trouble` says why.
  def answers(segments)
    known = known(segments.map(&:source_content))
    fresh = segments.uniq { |segment| digest(segment.source_content) }
    fresh.reject! { |segment| known.key?(digest(segment.source_content)) }
    known.merge!(Machine::Exchange.new(self, connector).answers(fresh)) if fresh.any?
    segments.map(&:source_content).map do |content|
      answer = known[digest(content)]
      answer && read(answer, content)
    end
  end

  # The same of one. Raises Refused "machine-…" where there is none.
  def answer(segment)
    answers([segment]).first || raise(@failure || Glossema::Refused.new("machine-answer.empty"))
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

  # For pre-translation: what fails costs nothing but its translation.
  def translate(segments) = answers(segments).map { |answer| answer&.content }

  # Why something was not translated, or nil.
  def trouble = @failure&.message

  # Notes why a text has no translation: the first reason is told.
  def failed(refused)
    @failure = refused unless @failure
  end

  # What the template asks for besides each text: nothing else is sent.
  def around(segments)
    template = @record.template
    segments.map { |segment| Machine::Around.new(segment, template).to_h }
  end

  # The ledger's line of a request that is about to be sent.
  def note(contents)
    @record.requests.create!(project: @project, client: @project.client&.name, texts: contents.size,
      characters: contents.sum { |content| content.text.length }, outcome: MachineRequest::SENT)
  end

  # Keeps answers, {Content => Glossema::Machine::Markup::Answer}. Returns them by digest.
  def keep(answers)
    kept = answers.to_h { |content, answer| [digest(content), [answer.content.written, answer.lost]] }
    rows = kept.map do |key, (target, lost)|
      { machine_service_id: @record.id, digest: key, target: target, lost: lost, created_at: Time.current }
    end
    MachineAnswer.insert_all(rows) if rows.any?
    kept
  end

  private

  def known(contents)
    found = @record.answers.where(digest: contents.map { |content| digest(content) }.uniq)
    found.to_h { |answer| [answer.digest, [answer.target, answer.lost]] }
  end

  def digest(content)
    Digest::SHA256.hexdigest([@project.source_lang, @project.target_lang, content.written].join("\u0000"))
  end

  def connector
    @connector ||= Machine::Connector.new(@record.service, source_lang: @project.source_lang,
      target_lang: @project.target_lang, known: { "instructions" => @record.instructions })
  end

  def read(answer, content)
    target, lost = answer
    Glossema::Machine::Markup::Answer.new(Glossema::Content.parse(target, content), lost)
  end
end
