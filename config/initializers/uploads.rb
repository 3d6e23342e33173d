# Files come in under names that are safe to be kept and shown.
require Rails.root.join("lib/upload_name")

ActionDispatch::Http::UploadedFile.prepend(UploadName)
