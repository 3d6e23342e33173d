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
    @call = HttpClient.new(service.address, patience: service.patience || READ,
      headers: service.headers)
  end

  # How many texts go with one request.
  def size = @service.template.single? ? 1 : @service.batch

  # Sends one request. contents: array of Content, `size` at most; around: what a template asks for besides, a
  # Hash for each. Returns a Glossema::Machine::Markup::Answer for each, or the Refused that says why a text
  # has none. Raises Refused "machine-…" where there is no answer for any.
  def answers(contents, around = contents.map { {} })
    return [] if contents.empty?

    template = @service.template
    texts = contents.map do |content|
      @service.markup ? Glossema::Machine::Markup.from_content(content) : content.text
    end
    found = template.texts(ask(template.body(texts, @values.merge(joined(around)))), contents.size)
    found.zip(contents).map { |text, content| read(text, content) }
  end

  # For pre-translation: a Content each, or nil.
  def translate(contents)
    contents.each_slice(size).flat_map { |slice| answers(slice) }
      .map { |answer| answer.content unless answer.is_a?(Glossema::Refused) }
  end

  private

  # What stands around several texts at once is told for all of them.
  def joined(around)
    around.flat_map(&:keys).uniq.to_h { |place|
      [place, around.filter_map { |one|
        one[place]
      }.uniq.join("\n")]
    }
  end

  def read(text, content)
    clean = text && Glossema::Machine::Cleaned.text(text, content.text)
    return Glossema::Refused.new("machine-answer.empty") if clean.nil? && !content.blank?

    clean = Glossema::Machine::Markup.escape(clean.to_s) unless @service.markup
    Glossema::Machine::Markup.read(clean.to_s, content)
  rescue Glossema::Refused => e
    e
  end

  def ask(body)
    @call.json(@service.method.to_sym, "", body)
  rescue HttpClient::Resting
    raise Glossema::Refused.new("machine-resting", host: @call.host)
  rescue HttpClient::Failure => e
    raise Glossema::Refused.new("machine-failed", host: @call.host, reason: e.message)
  rescue HttpClient::Denied => e
    raise denied(e)
  end

  def denied(answer)
    return Glossema::Refused.new("machine-refused.key", host: @call.host) if [401,
                                                                              403].include?(answer.status)
    return Glossema::Refused.new("machine-refused.quota", host: @call.host) if answer.status == 429

    Glossema::Refused.new("machine-failed", host: @call.host, reason: answer.message)
  end
end
