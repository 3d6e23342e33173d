# Columns of a table by letter, number or heading, shared with sheets.
module Glossema
  module Formats
    module Columns
      module_function

      # "C", "3" or a heading → index from 0; nil when there is none.
      def index(label, headings)
        label = label.to_s.strip
        return nil if label.empty?

        by_name = headings.index { |heading| heading.to_s.strip.casecmp?(label) }
        return by_name if by_name
        return label.to_i - 1 if label.match?(/\A[1-9]\d{0,4}\z/)

        if label.match?(/\A[A-Za-z]{1,3}\z/)
          label.upcase.each_char.reduce(0) { |sum, char| (sum * 26) + char.ord - 64 } - 1
        else
          nil
        end
      end

      def letters(index)
        out = +""
        index += 1
        while index.positive?
          index, rest = (index - 1).divmod(26)
          out.prepend((65 + rest).chr)
        end
        out
      end

      # Which columns a table's options name: {columns: indexes or nil, source:, target:, context:, limit:,
      # note:}.
      def chosen(options, headings, name)
        find =
          lambda do |label|
            next nil if label.to_s.strip.empty?

            index(label, headings) ||
              raise(Refused.new("column-unknown", name: name, label: label))
          end
        columns =
          options["columns"]
            .to_s
            .split(",")
            .map(&:strip)
            .reject(&:empty?)
            .flat_map do |label|
              if label.match?(/\A[A-Za-z]{1,3}\s*[-:]\s*[A-Za-z]{1,3}\z/)
                Range.new(*label.split(/[-:]/).map { |one| index(one.strip, []) }).to_a
              else
                [find.call(label)]
              end
            end
        found = {
          columns: columns.empty? ? nil : columns,
          source: find.call(options["source_column"]),
          target: find.call(options["target_column"]),
          context: find.call(options["context_column"]),
          limit: find.call(options["limit_column"]),
          note: find.call(options["note_column"])
        }
        if found[:target] && found[:source].nil? && columns.size != 1
          raise Refused.new("column-missing", name: name)
        end

        found[:source] ||= columns.first if found[:target]
        found
      end

      # Do the options name columns by these headings?
      def named?(options, headings)
        labels =
          options.values_at(
            "source_column",
            "target_column",
            "context_column",
            "limit_column",
            "note_column"
          ) + options["columns"].to_s.split(",")
        labels
          .map { |label| label.to_s.strip }
          .reject(&:empty?)
          .any? { |label| headings.any? { |heading| heading.strip.casecmp?(label) } }
      end

      # Is there something to translate in a cell? Numbers, dates, times, money, addresses and codes stay.
      def text?(value)
        value.match?(/\p{L}/) && !value.match?(NO_TEXT)
      end

      CURRENCY = /(?:EUR|USD|GBP|CHF|JPY|CAD|AUD|SEK|DKK|NOK|PLN)/
      AMOUNT = %r{(?:#{CURRENCY}?\s*[€$£¥]?\s*[-+]?[\d.,:/'\s-]+\s*(?:%|[€$£¥]|#{CURRENCY}|[AaPp][Mm])?)}
      ADDRESS = %r{https?://\S+|[\w.+-]+@[\w-]+(?:\.[\w-]+)+}
      NO_TEXT =
        /\A\s*(?:#{AMOUNT}|\d{4}-\d\d-\d\dT[\d:.]+Z?(?:[+-]\d\d:?\d\d)?|#{ADDRESS}|TRUE|FALSE|true|false)\s*\z/
    end
  end
end
