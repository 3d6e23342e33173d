# How languages write numbers: decimal and grouping marks, after CLDR.
module Glossema
  module Forms
    module Numbers
      # [decimal mark, grouping mark]; the first is that of languages not named.
      POINT = %w[. ,].freeze
      COMMA = %w[, .].freeze
      SPACE = [",", "\u00a0"].freeze
      BY_LANGUAGE = {
        **%w[it nl de es pt el tr id da is ca gl hr sl sr ro vi eu mk bs az].to_h { |tag| [tag, COMMA] },
        **%w[sv nb nn no fi pl ru uk be cs sk hu bg et lv lt sq hy ka kk].to_h { |tag| [tag, SPACE] },
        "fr" => [",", "\u202f"],
        "pt-PT" => SPACE,
        "de-CH" => %w[. ’],
        "it-CH" => %w[. ’],
        "de-LI" => %w[. ’],
        "fr-CH" => [",", "\u202f"],
        "de-AT" => [",", "\u00a0"],
        "en-ZA" => SPACE,
        "fr-CA" => SPACE,
        **%w[MX US PR GT HN NI PA PE SV DO].to_h { |region| ["es-#{region}", POINT] }
      }.freeze
      GROUPINGS = "\\u00a0\\u202f\\u2009'’".freeze

      module_function

      # tag → [decimal mark, grouping mark].
      def marks(tag)
        parts = tag.to_s.split("-")
        region = parts.find { |part| part.match?(/\A[A-Z]{2}\z/) }
        BY_LANGUAGE["#{parts.first}-#{region}"] || BY_LANGUAGE[parts.first] || POINT
      end

      # A number as it stands in a text of one language, in the form of another: "1,250.5" from en to it →
      # "1.250,5". What is no plain number (a date, a time, a version) stays as it is.
      def convert(text, from, to)
        decimal, grouping = marks(from)
        into_decimal, into_grouping = marks(to)
        match =
          text.match(
            /\A(?<whole>\d{1,3}(?:[#{Regexp.escape(grouping)}#{GROUPINGS}]\d{3})+|\d+)(?:#{Regexp.escape(decimal)}(?<part>\d+))?\z/
          ) or return text
        whole = match[:whole].gsub(/(?<=\d)[^\d](?=\d)/, into_grouping)
        match[:part] ? "#{whole}#{into_decimal}#{match[:part]}" : whole
      end
    end
  end
end
