# A quote as a client reads it.
class QuotePageResource < QuoteResource
  typelize_from Quote

  typelize letter: "QuoteLetter", report: "QuotedReport", has_logo: "boolean", file_prices: "string[]"

  attribute(:letter) { |quote| quote.letter.merge("language" => quote.language) }
  attribute(:file_prices, &:file_prices)
  attribute(:has_logo) { |quote| quote.client&.logo&.attached? || false }
  attribute(:report) do |quote|
    report = quote.report
    report
      .slice(:name, :source_lang, :target_lang, :created_at, :figures)
      .merge("memories" => report.memories.size)
  end
end
