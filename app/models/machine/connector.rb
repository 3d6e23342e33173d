# Speaks to a machine translation service over HTTP, by its template.
class Machine::Connector
  # Seconds for an answer.
  READ = 30

  # service: answers address, method, headers ({name => text}), template (Glossema::Machine::Template), batch,
  # markup (does it carry codes as markup?), patience (seconds for an answer, or nil).
  def initialize(service, source_lang:, target_lang:, known: {})
    @service = service
    @values = { "source_lang" => source_lang, "target_lang" => target_lang, **known }
    Machine.check_address(service.address)
    @call = OutsideCall.new(service.address, patience: service.patience || READ,
      headers: service.headers)
  end

  # contents: array of Content; around: what a template asks for besides, a Hash for each. Returns
  # [Glossema::Machine::Markup::Answer …]. Raises Refused "machine-…".
  def answers(contents, around = contents.map { {} })
    size = @service.template.single? ? 1 : @service.batch
    contents.zip(around).each_slice(size).flat_map { |slice| batch(slice.map(&:first), slice.map(&:last)) }
  end

  # The same for pre-translation: a Content each.
  def translate(contents) = answers(contents).map(&:content)

  private

  def batch(contents, around)
    template = @service.template
    texts = contents.map { |content| @service.markup ? Glossema::Machine::Markup.of(content) : content.text }
    found = template.texts(ask(template.body(texts, @values.merge(joined(around)))), contents.size)
    found.zip(contents).map { |text, content| read(text, content) }
  end

  # What stands around several texts at once is told for all of them.
  def joined(around)
    around.flat_map(&:keys).uniq.to_h { |place|
      [place, around.filter_map { |one|
        one[place]
      }.uniq.join("\n")]
    }
  end

  def read(text, content)
    text = Glossema::Machine::Markup.escape(text) unless @service.markup
    Glossema::Machine::Markup.read(text, content)
  end

  def ask(body)
    @call.json(@service.method.to_sym, "", body)
  rescue OutsideCall::Resting
    raise Glossema::Refused.new("machine-resting", host: @call.host)
  rescue OutsideCall::Failure => e
    raise Glossema::Refused.new("machine-failed", host: @call.host, reason: e.message)
  rescue OutsideCall::Denied => e
    raise denied(e)
  end

  def denied(answer)
    return Glossema::Refused.new("machine-refused.key", host: @call.host) if [401,
                                                                              403].include?(answer.status)
    return Glossema::Refused.new("machine-refused.quota", host: @call.host) if answer.status == 429

    Glossema::Refused.new("machine-failed", host: @call.host, reason: answer.message)
  end
end
