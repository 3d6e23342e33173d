# Settings for use: what bin/start serves.
FileUtils.mkdir_p(Rails.root.join("log"))
Rails.application.configure do
  config.enable_reloading = false
  config.eager_load = ENV["GLOSSEMA_COMMAND"].nil?
  config.consider_all_requests_local = false
  config.public_file_server.enabled = true
  config.public_file_server.headers = { "cache-control" => "public, max-age=31536000, immutable" }
  config.log_level = ENV.fetch("GLOSSEMA_LOG_LEVEL", "info").to_sym
  config.log_tags = [:request_id]
  config.logger =
    ActiveSupport::TaggedLogging.new(
      ActiveSupport::Logger.new(Rails.root.join("log/production.log"), 2, 20.megabytes)
    )
  config.active_support.report_deprecations = false
  config.active_record.dump_schema_after_migration = false
  config.active_record.attributes_for_inspect = [:id]
  # Behind a proxy that speaks TLS: cookies go over https alone, and browsers are sent there.
  if ENV["GLOSSEMA_HTTPS"] == "1"
    config.assume_ssl = true
    config.force_ssl = true
    config.ssl_options = { redirect: { exclude: ->(request) { request.path == "/up" } } }
  end
  config.secret_key_base = ENV["SECRET_KEY_BASE"].presence || GlossemaApp.secret
end
