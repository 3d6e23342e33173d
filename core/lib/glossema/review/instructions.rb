# What stands on top of a review sheet, in the reviser's language; each part can be left out.
require "yaml"

module Glossema
  module Review
    module Instructions
      PARTS = %w[what codes tracking comments kinds rows].freeze
      OTHERWISE = "en".freeze

      module_function

      # Languages there are instructions in.
      def languages
        Dir[File.join(ROOT, "data/review/*.yml")].map { |path| File.basename(path, ".yml") }.sort
      end

      # lang: tag; parts: of PARTS → texts
      def fetch(lang, parts = PARTS) = texts(lang).fetch("instructions").values_at(*(PARTS & parts))

      # {"number", "source", "target", "notes", "remarks"}
      def headings(lang) = texts(lang).fetch("headings")

      # what: "kinds" or "severities" of ErrorTypes → {key => name}
      def names(lang, what) = texts(lang).fetch(what)

      def texts(lang)
        @texts ||= {}
        language = Languages.primary(lang.to_s)
        language = OTHERWISE unless languages.include?(language)
        @texts[language] ||= YAML.load_file(File.join(ROOT, "data/review/#{language}.yml"))
      end
      private_class_method :texts
    end
  end
end
