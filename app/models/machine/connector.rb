# Speaks to a machine translation service over HTTP: by its template, within a time, again after a while where
# that may help, and not at all for a while after it failed again and again.
require "net/http"

class Machine::Connector
  # Seconds for connecting and for an answer.
  OPEN, READ = 4, 30
  # Waits before it is asked again, in seconds.
  WAITS = [0.5, 2].freeze
  # After so many failures in a row it is left alone for so many seconds.
  FAILURES, REST = 3, 60
  METHODS = { "post" => Net::HTTP::Post, "put" => Net::HTTP::Put }.freeze
  # An answer larger than this is none.
  LARGEST = 8 << 20
  # passing: may it be over soon?
  class Failure < StandardError
    attr_reader :passing

    def initialize(reason, passing: false)
      super(reason)
      @passing = passing
    end
  end

  @broken = {}
  @lock = Mutex.new
  class << self
    # {address => [failures in a row, until when it is left alone]}
    attr_reader :broken

    def locked(&) = @lock.synchronize(&)
  end

  # service: answers address, method, headers ({name => text}), template (Glossema::Machine::Template), batch,
  # markup (does it carry codes as markup?), patience (seconds for an answer, or nil).
  def initialize(service, source_lang:, target_lang:, known: {})
    @service = service
    @values = { "source_lang" => source_lang, "target_lang" => target_lang, **known }
    Machine.check_address(service.address)
    @uri = URI.parse(service.address)
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
    raise Glossema::Refused.new("machine-resting", host: @uri.host) if resting?

    value = again_where_it_may_help { parsed(response(JSON.generate(body))) }
    note(failed: false)
    value
  rescue Failure => e
    note(failed: true)
    raise Glossema::Refused.new("machine-failed", host: @uri.host, reason: e.message)
  end

  def again_where_it_may_help
    tries = 0
    begin
      yield
    rescue Failure => e
      raise unless e.passing && WAITS[tries]

      sleep(WAITS[tries])
      tries += 1
      retry
    end
  end

  def response(body)
    request = METHODS.fetch(@service.method).new(@uri)
    request["Content-Type"] = "application/json"
    @service.headers.each { |name, value| request[name] = value }
    request.body = body
    Net::HTTP.start(@uri.host, @uri.port, use_ssl: @uri.scheme == "https", open_timeout: OPEN,
      read_timeout: @service.patience || READ) { |http| http.request(request) }
  rescue Timeout::Error
    raise Failure, I18n.t("machine.slow", seconds: @service.patience || READ)
  rescue SystemCallError, SocketError, OpenSSL::SSL::SSLError, IOError => e
    raise Failure.new(e.message, passing: true)
  end

  # The value of a good answer; others are told by what they are.
  def parsed(response)
    code = response.code.to_i
    said = response.body.to_s[0, LARGEST].force_encoding("UTF-8").scrub
    return value_of(said) if code.between?(200, 299)
    raise Glossema::Refused.new("machine-refused.key", host: @uri.host) if [401, 403].include?(code)
    raise Glossema::Refused.new("machine-refused.quota", host: @uri.host) if code == 429

    raise Failure.new(I18n.t("machine.status", code: code, said: said[0, 120].squish), passing: code >= 500)
  end

  def value_of(text)
    JSON.parse(text)
  rescue JSON::ParserError
    raise Failure, I18n.t("machine.no-json", said: text[0, 60].squish)
  end

  def resting?
    self.class.locked { self.class.broken[@uri.to_s]&.last.to_f > now }
  end

  def note(failed:)
    self.class.locked do
      count = failed ? self.class.broken[@uri.to_s]&.first.to_i + 1 : 0
      self.class.broken[@uri.to_s] = [count, count >= FAILURES ? now + REST : 0]
    end
  end

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
end
