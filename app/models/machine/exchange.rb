# Texts that go to a service, request by request: each is noted before it is sent and completed with what
# came, which is kept at once, whatever becomes of the next one.
class Machine::Exchange
  # Where so many requests in a row fail the rest is not sent.
  MOST_FAILURES = 3
  # The next request would fail as well.
  FINAL = %w[machine-refused machine-resting].freeze

  def initialize(translator, connector)
    @translator, @connector = translator, connector
  end

  # segments → what came, as Machine::Translator#keep returns it.
  def answers(segments)
    waiting, found, failures = segments.each_slice(@connector.size).to_a, {}, 0
    while failures < MOST_FAILURES && (slice = waiting.shift)
      failure = send_one(slice, found)
      # Which text is wanting cannot be told: a part of them at a time can.
      next waiting.unshift(*halves(slice)) if failure && miscounted?(failure) && slice.size > 1

      @translator.failed(failure) if failure
      break if failure && FINAL.include?(failure.code)

      failures = failure ? failures + 1 : 0
    end
    found
  end

  private

  def halves(slice) = slice.each_slice((slice.size / 2.0).ceil).to_a
  def miscounted?(failure) = failure.key == "machine-answer.count"

  # Sends one request. What comes is put to `found`. Returns the Refused where nothing does, or nil.
  def send_one(segments, found)
    contents = segments.map(&:source_content)
    line = @translator.note(contents)
    given, missing = contents.zip(@connector.answers(contents, @translator.around(segments)))
      .partition { |_, answer| answer.is_a?(Glossema::Machine::Markup::Answer) }
    found.merge!(@translator.keep(given.to_h))
    missing.each { |_, refused| @translator.failed(refused) }
    line.answered(given.size, missing.first&.last)
    nil
  rescue Glossema::Refused => e
    line.failed(e)
    e
  end
end
