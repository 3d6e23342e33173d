# A count as a file: XLSX whose totals are formulas, CSV, or XML with the names of GMX-V where it has them.
require "caxlsx"
require "csv"

class Report::Export
  include TableWords

  FORMS = %w[xlsx csv xml].freeze
  BANDS = Glossema::Counting::Bands::NAMES
  FIGURES = Glossema::Counting::Report::FIGURES
  COLUMNS = ["file", *FIGURES].freeze
  # What bands are called in GMX-V; those it has no name for begin with x-.
  GMX = {
    "context" => "x-ContextMatchedWordCount",
    "repetition" => "RepetitionMatchedWordCount",
    "exact" => "ExactMatchedWordCount",
    "95-99" => "x-FuzzyMatchedWordCount-95-99",
    "85-94" => "x-FuzzyMatchedWordCount-85-94",
    "75-84" => "x-FuzzyMatchedWordCount-75-84",
    "50-74" => "x-FuzzyMatchedWordCount-50-74",
    "new" => "x-NewWordCount"
  }.freeze

  # beside: another report, whose differences stand beside it, or nil.
  def initialize(report, beside: nil)
    @report, @figures, @beside = report, report.figures, beside
    raise Glossema::Refused.new("report-unready") unless report.state == "ready"
  end

  def name(form)
    "#{[@report.project&.reference, @report.name].compact_blank.join(" ")}.#{form}".tr("/\\", "-")
  end

  # form: one of FORMS. Raises Refused "takeout-unknown".
  def bytes(form)
    raise Glossema::Refused.new("takeout-unknown", as: form) unless FORMS.include?(form)

    public_send(form)
  end

  def xlsx
    package = Axlsx::Package.new
    package.use_shared_strings = true
    package.workbook.add_worksheet(name: word("sheets.count")) { |sheet| fill(sheet) }
    package.workbook.add_worksheet(name: word("sheets.about")) { |sheet| about(sheet) }
    package.to_stream.read
  end

  def csv
    CSV.generate(col_sep: ",") do |table|
      table << header
      [*@figures["files"], @figures.merge("name" => word("all"))].each do |part|
        table << row(part).map { |cell| Glossema::Exchange::Cells.harmless(cell) }
      end
    end
  end

  def xml
    Nokogiri::XML::Builder
      .new(encoding: "UTF-8") do |xml|
        xml.metrics(
          "xmlns" => "urn:lisa-metrics-tags",
          "version" => "1.0",
          "source-language" => @report.source_lang,
          "target-language" => @report.target_lang,
          "date" => @report.created_at.iso8601,
          "tool-name" => "Glossema"
        ) do
          xml.project(name: @report.name) { counts(xml, @figures) }
          @figures["files"].each { |file| xml.resource(name: file["name"]) { counts(xml, file) } }
        end
      end
      .to_xml
  end

  private

  def header
    COLUMNS.map { |key| word(key) } +
      BANDS.map { |band| word("words_of", band: band_name(band)) } + beside_header
  end

  def row(part)
    FIGURES.map { |figure| part[figure] }.unshift(part["name"]) + words(part, "bands") + beside_row(part)
  end

  def words(part, split) = BANDS.map { |band| part.dig(split, band, "words") }
  def beside_header = @beside ? BANDS.map { |band| word("difference_of", band: band_name(band)) } : []

  def beside_row(part)
    return [] unless @beside

    # The whole holds the files.
    whole = part.key?("files")
    found = whole ? comparison : comparison["files"].find { |file| file["name"] == part["name"] }
    BANDS.map { |band| found["differences"][band] }
  end

  def comparison = @comparison ||= Glossema::Counting::Comparison.compare(@figures, @beside.figures)

  # Below the files each column has its sum.
  def fill(sheet)
    bold = sheet.styles.add_style(b: true)
    sheet.add_row(header, style: bold)
    @figures["files"].each { |file| sheet.add_row(row(file)) }
    last = @figures["files"].size + 1
    sums = (1...header.size).map { |at|
      Axlsx.col_ref(at).then { |column|
        "=SUM(#{column}2:#{column}#{last})"
      }
    }
    sheet.add_row([word("all"), *sums], style: bold, escape_formulas: false)
  end

  def about(sheet)
    sheet.add_row([word("counted"), @report.created_at.to_s])
    sheet.add_row([word("languages"), [@report.source_lang, @report.target_lang].compact.join(" → ")])
    sheet.add_row([word("against"),
                   @report.memories.pluck("name").join(", ").presence || word("no_memories")])
    sheet.add_row([])
    BANDS.each { |band| sheet.add_row([band_name(band), I18n.t("bands.#{band}")]) }
  end

  def counts(xml, part)
    spaces = part["characters"] - part["characters_without_spaces"]
    {
      "TotalTextUnitCount" => part["segments"],
      "TotalWordCount" => part["words"],
      "OverallCharacterCount" => part["characters"],
      "WhiteSpaceCharacterCount" => spaces,
      "TranslatableInlineCount" => part["codes"],
      **BANDS.to_h { |band| [GMX[band], part.dig("bands", band, "words")] }
    }.each { |type, value| xml.count(type: type, value: value) }
  end
end
