# What CLDR says of a language's forms of dates, times, units and percentages.
module Glossema
  module Forms
    module Patterns
      # A space of these kinds keeps a number and its unit on one line.
      NO_BREAK = "\u00A0".freeze

      module_function

      # The calendar, the units or the numbers of a language (kind), of its region where CLDR knows that; {}
      # where it knows nothing.
      def fetch(tag, kind)
        (@known ||= {})[[tag, kind]] ||= begin
          require "twitter_cldr"
          locale = locales(tag).find { |one| TwitterCldr.supported_locale?(one) }
          (locale && TwitterCldr.get_locale_resource(locale, kind)[locale][kind]) || {}
        end
      end

      # A date or time pattern: date("it", :long) → "d MMMM y".
      def date(tag, width) = fetch(tag, :calendars).dig(:gregorian, :formats, :date, width, :pattern)

      # A pattern by its skeleton: skeleton("es", :MMMMd) → "d 'de' MMMM".
      def skeleton(tag, name) = fetch(tag, :calendars).dig(:gregorian, :additional_formats, name)

      # "h:mm a", "HH:mm", "HH.mm" …
      def time(tag) = fetch(tag, :calendars).dig(:gregorian, :formats, :time, :short, :pattern) || "HH:mm"

      # The pattern of numbers of a kind (:percent, :currency): number("de", :percent) → "#,##0 %", or nil.
      def number(tag, kind) = fetch(tag, :numbers).dig(:formats, kind, :latn, :default)

      # The pattern of a unit in its short form: unit("nl", "speed-kilometer-per-hour") → "{0} km/u", or nil.
      def unit(tag, key) = fetch(tag, :units).dig(:unitLength, :short, key.to_sym, :other)

      def locales(tag)
        parts = tag.to_s.split("-")
        [tag.to_s, parts.first].map { |one| one.tr("_", "-").to_sym }
      end
      private_class_method :locales
    end
  end
end
