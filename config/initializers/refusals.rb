# The core's sentences are told through I18n, in the language of whoever asks, beside the application's.
I18n.load_path += Dir[File.join(Glossema::Refusals::FOLDER, "*.yml")]
Glossema::Refusals.translator = ->(key, details) { I18n.t(key, raise: true, **details) }
Glossema::Checks.language = -> { I18n.locale.to_s }
