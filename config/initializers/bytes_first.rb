require "bytes_first"

Rails.application.config.after_initialize do
  [ActiveStorage::Attached::One, ActiveStorage::Attached::Many].each { |kind| kind.prepend(BytesFirst) }
end
