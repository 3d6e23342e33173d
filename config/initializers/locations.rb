# The texts of locations in the language of the request.
I18n.load_path += Dir[File.join(Glossema::Location::FOLDER, "*.yml")]
texts = Hash.new { |all, language| all[language] = I18n.t("locations", locale: language).stringify_keys }
Glossema::Location.texts_source = -> { texts[I18n.locale] }
