# Types of the API for the interface, from the resources: bin/types writes them, bin/test refuses stale ones.
Typelizer.configure do |config|
  config.output_dir = Rails.root.join("frontend/shared/api-types")
  config.types_import_path = "../shapes"
  config.null_strategy = :nullable
  config.verbatim_module_syntax = true
end
