# No log holds what somebody typed: not by the messages of errors, not by an address with a token in it.
module ErrorsByKind
  private

  def log_error(request, wrapper)
    logger = logger(request)
    return if logger.nil? || (!log_rescued_responses?(request) && wrapper.rescue_response?)

    logger.fatal(FaultTold.describe(wrapper.unwrapped_exception))
  end
end

module JobsWithoutMessages
  %i[enqueue enqueue_at perform enqueue_retry retry_stopped discard].each do |name|
    define_method(name) do |event|
      %i[exception_object error].each do |key|
        event.payload[key] &&= event.payload[key].exception("…") if event.payload.key?(key)
      end
      super(event)
    end
  end
end

Rails.application.config.after_initialize do
  ActionDispatch::DebugExceptions.prepend(ErrorsByKind)
  require "active_job/log_subscriber"
  ActiveJob::LogSubscriber.prepend(JobsWithoutMessages)
end

# A line for each request: its errors by their kind, its address without what opens something.
lines = Lograge::Formatters::KeyValue.new
Rails.application.config.lograge.formatter = lambda do |data|
  told = data.merge(path: data[:path].to_s.gsub(%r{/[^/]{20,}}, "/[FILTERED]"))
  told[:error] = told[:error][/\A[\w:]+/] if told[:error]
  lines.call(told.except(:params))
end
