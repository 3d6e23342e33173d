# Settings for the specs. The system specs run the queue for real, see spec/support.
Rails.application.configure do
  config.enable_reloading = false
  config.log_level = :warn
  config.eager_load = ENV["CI"].present?
  config.consider_all_requests_local = false
  config.action_dispatch.show_exceptions = :rescuable
  config.action_controller.allow_forgery_protection = false
  config.action_mailer.delivery_method = :test
  config.active_job.queue_adapter = :test
  config.active_support.deprecation = :stderr
  config.active_storage.service = :data
  config.secret_key_base = "test" * 16
end
