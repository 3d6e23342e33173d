# What several services give for the same sentence, asked at the same time; each stands in its ledger.
class Machine::Comparison
  def initialize(services, source_lang, target_lang)
    @services, @source_lang, @target_lang = services, source_lang, target_lang
  end

  # content → [{service:, ms:, and got: or trouble:} …]
  def compare(content)
    threads = @services.map do |service|
      Thread.new { Rails.application.executor.wrap { row(service, content) } }
    end
    threads.map(&:value)
  end

  private

  def row(service, content)
    began = now
    answer = ask(service, content)
    timed = { service: service.name, ms: ((now - began) * 1000).round }
    return { **timed, trouble: answer.message } if answer.is_a?(Glossema::Refused)

    { **timed, got: answer.content.text }
  end

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  # An answer, or the Refused that says why there is none.
  def ask(service, content)
    line = service.requests.create!(texts: 1, characters: content.text.length, outcome: MachineRequest::SENT)
    connector = Machine::Connector.new(service.service, source_lang: @source_lang, target_lang: @target_lang,
      known: { "instructions" => service.instructions })
    answer = connector.answers([content]).first
    refused = answer.is_a?(Glossema::Refused)
    line.answered(refused ? 0 : 1, refused ? answer : nil)
    answer
  rescue Glossema::Refused => e
    line.failed(e)
    e
  end
end
