require "bytes_first"

Rails.application.config.after_initialize do
  changes = ActiveStorage::Attached::Changes
  [changes::CreateOne, changes::CreateMany].each { |change| change.prepend(BytesFirst) }
end
