# Base of all long work.
class ApplicationJob < ActiveJob::Base
  discard_on ActiveJob::DeserializationError
  retry_on ActiveRecord::StatementTimeout, wait: 1.second, attempts: 5
end
