# Base of all long work.
class ApplicationJob < ActiveJob::Base
  # Jobs share a process with the web; whoever types goes first.
  around_perform do |_, work|
    Thread.current.priority = -3
    work.call
  ensure
    Thread.current.priority = 0
  end

  discard_on ActiveJob::DeserializationError
  retry_on ActiveRecord::StatementTimeout, wait: 1.second, attempts: 5
end
