# The application: records, the JSON API, jobs and channels around the core.
require_relative "boot"
require "rails"
require "active_model/railtie"
require "active_job/railtie"
require "active_record/railtie"
require "active_storage/engine"
require "action_controller/railtie"
require "action_view/railtie"
require "action_mailer/railtie"
require "action_cable/engine"
Bundler.require(*Rails.groups)
require "glossema"
require_relative "../lib/fault_answer"
require_relative "../lib/fault_told"
require_relative "../lib/client_address"

# Databases, files and logs are for the account that runs it alone.
File.umask(0o077)

module GlossemaApp
  # The folder of databases and files, and whether it is a fresh one.
  DATA = Pathname.new(ENV["GLOSSEMA_DATA"].presence || File.expand_path("../storage", __dir__)).expand_path

  # What signs sessions: made once and kept with the data, for the owner's eyes only.
  def self.secret
    path = DATA.join("secret")
    return path.read.strip if path.exist? && !path.empty?

    DATA.mkpath
    File.open(path, File::WRONLY | File::CREAT | File::TRUNC, 0o600) { |file| file.write(SecureRandom.hex(64)) }
    path.read
  end

  class Application < Rails::Application
    config.load_defaults 7.2
    # Keys of services are encrypted by keys of our own, made from the secret that lies with the data.
    keys = ActiveSupport::KeyGenerator.new(GlossemaApp.secret, iterations: 1000)
    config.active_record.encryption.primary_key = keys.generate_key("primary", 32).unpack1("H*")
    config.active_record.encryption.deterministic_key = keys.generate_key("deterministic", 32).unpack1("H*")
    config.active_record.encryption.key_derivation_salt = keys.generate_key("salt", 32).unpack1("H*")
    config.autoload_lib(ignore: %w[tasks memory_commands.rb backup_commands.rb upload_name.rb server_lock.rb
                                   fork_server.rb fault_answer.rb fault_told.rb client_address.rb])
    config.exceptions_app = FaultAnswer.new(ActionDispatch::PublicExceptions.new(Rails.public_path))
    config.generators.system_tests = nil
    config.time_zone = "UTC"
    config.active_job.queue_adapter = :solid_queue
    config.solid_queue.connects_to = { database: { writing: :queue } }
    config.active_storage.service = :data
    config.active_storage.draw_routes = false
    config.active_storage.analyzers = []
    config.active_storage.previewers = []
    config.action_dispatch.cookies_same_site_protection = :lax
    config.action_cable.mount_path = "/cable"
    config.action_cable.disable_request_forgery_protection = false
    config.action_cable.allow_same_origin_as_host = true
    config.session_store :cookie_store, key: "_glossema", httponly: true, expire_after: 14.days
    config.cache_store = :memory_store
    config.yjit = true
    # Files are read in processes of their own, however small they are. Specs read small ones where they are:
    # what such a process announces does not reach a page of theirs.
    config.x.reading_apart = !Rails.env.test?
    # Tables that Ruby's schema file cannot say: without row ids, for full text.
    config.active_record.schema_format = :sql
    config.active_record.dump_schema_after_migration = Rails.env.development? || Rails.env.test?
    config.middleware.use Rack::Deflater
    user = ENV.fetch("SMTP_USER", nil)
    config.action_mailer.smtp_settings = {
      address: ENV.fetch("SMTP_ADDRESS", nil), port: ENV.fetch("SMTP_PORT", 587).to_i, user_name: user,
      password: ENV.fetch("SMTP_PASSWORD", nil), authentication: user && :plain
    }.compact
    # Each line that is written lets another thread go first: on a busy server many lines are a long wait.
    config.lograge.enabled = !Rails.env.development?
    # The languages of the interface, and those that letters to clients can be in besides.
    config.x.interface_languages = %w[en it]
    config.i18n.available_locales = %i[en it de fr es nl]
    config.i18n.fallbacks = [:en]
  end
end
