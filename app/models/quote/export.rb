# A quote as a file: XLSX that computes itself anew from words, weights and rate; CSV; XML.
require "caxlsx"
require "csv"

class Quote::Export
  include TableWords

  FORMS = %w[xlsx csv xml].freeze
  BANDS = Glossema::Counting::Bands::NAMES
  FIRST = 2

  def initialize(quote)
    @quote, @report = quote, quote.report
    @rates = Glossema::Counting::Rates.new(
      { "words_per_hour" => quote.user.words_per_hour.to_s }.merge(quote.rates)
    )
  end

  def name(form)
    "#{[word("names.quote"), @quote.number, @quote.client&.name].compact_blank.join(" ")}.#{form}".tr("/\\",
      "-")
  end

  # form: one of FORMS. Raises Refused "takeout-unknown".
  def bytes(form)
    raise Glossema::Refused.new("takeout-unknown", as: form) unless FORMS.include?(form)

    public_send(form)
  end

  # The sheet "Quote" holds the rates and, as formulas, what they come to; "Files" the words of each file.
  def xlsx
    package = Axlsx::Package.new
    package.use_shared_strings = true
    package.workbook.add_worksheet(name: word("sheets.quote")) { |sheet| fill(sheet) }
    package.workbook.add_worksheet(name: word("sheets.files")) { |sheet| files(sheet) }
    package.to_stream.read
  end

  def csv
    CSV.generate do |table|
      table << %w[band words weight weighted price].map { |key| word(key).downcase }
      figures["lines"].each do |line|
        table << [band_name(line["band"]), *line.values_at("words", "weight", "weighted", "price")]
      end
      %w[net rush total].each { |sum| table << [word(sum).downcase, nil, nil, nil, figures[sum]] }
    end
  end

  def xml
    Nokogiri::XML::Builder
      .new(encoding: "UTF-8") do |xml|
        xml.quote(
          number: @quote.number,
          currency: figures["currency"],
          "valid-until" => @quote.valid_until.iso8601,
          "source-language" => @report.source_lang,
          "target-language" => @report.target_lang
        ) do
          figures["lines"].each { |line| xml.line(line) }
          %w[net rush total].each { |sum| xml.public_send(sum, figures[sum]) }
        end
      end
      .to_xml
  end

  private

  def figures = @quote.figures

  def fill(sheet)
    styles = styles_of(sheet)
    heading = %w[band words characters weight weighted price].map { |key| word(key) }
    sheet.add_row(heading, style: styles[:bold])
    BANDS.each_with_index do |band, index|
      line = FIRST + index
      sheet.add_row(
        [
          band_name(band),
          *@report.figures.dig("bands", band).values_at("words", "characters"),
          @rates.weights[band].to_f,
          "=B#{line}*D#{line}",
          price_formula(line)
        ],
        style: [nil, nil, nil, styles[:percent], nil, styles[:exact]],
        escape_formulas: false
      )
    end
    sums(sheet, styles)
  end

  def styles_of(sheet)
    money = @rates.smallest < 1 ? "#,##0.00" : "#,##0"
    {
      bold: sheet.styles.add_style(b: true),
      percent: sheet.styles.add_style(format_code: "0%"),
      exact: sheet.styles.add_style(format_code: "#,##0.0000"),
      money: sheet.styles.add_style(format_code: money, b: true)
    }
  end

  # Where the rates stand below the lines of the bands.
  ROWS = %i[all rate minimum rush rounding pace page net surcharge total].each_with_index.to_h { |name, index|
    [name, FIRST + BANDS.size + index + (index.zero? ? 0 : 1)]
  }.freeze

  def price_formula(line)
    rate = "$F$#{ROWS[:rate]}"
    case @rates.unit
    when "word" then "=E#{line}*#{rate}"
    when "hour" then "=E#{line}*#{rate}/$F$#{ROWS[:pace]}"
    when "page" then "=C#{line}*D#{line}*#{rate}/$F$#{ROWS[:page]}"
    else
      0
    end
  end

  def sums(sheet, styles)
    last = FIRST + BANDS.size - 1
    columns = { "B" => true, "C" => true, "D" => false, "E" => true, "F" => true }
    cells = columns.map { |column, summed| summed ? sum(column, last) : nil }
    sheet.add_row([word("all"), *cells], style: styles[:bold], escape_formulas: false)
    sheet.add_row([])
    rates.each { |label, value| sheet.add_row([label, nil, nil, nil, nil, value]) }
    style = [styles[:bold], *Array.new(4), styles[:money]]
    totals.each do |label, formula|
      sheet.add_row([label, nil, nil, nil, nil, formula], style: style, escape_formulas: false)
    end
  end

  def sum(column, last) = "=SUM(#{column}#{FIRST}:#{column}#{last})"

  def rates
    {
      word("rates.rate.#{@rates.unit}", currency: @rates.currency.iso_code) => @rates.rate.to_f,
      word("rates.minimum") => @rates.minimum.to_f,
      word("rates.rush") => @rates.rush.to_f,
      word("rates.rounding") => @rates.rounding.to_f,
      word("rates.pace") => @rates.words_per_hour.to_f,
      word("rates.page") => @rates.page_characters.to_f
    }
  end

  # Rounded twice, so that a half that binary fractions put just below a half goes up as it should.
  def totals
    price = @rates.unit == "flat" ? "F#{ROWS[:rate]}" : "F#{ROWS[:all]}"
    {
      word("net") => "=MAX(#{rounded(price)},F#{ROWS[:minimum]})",
      word("rush") => "=#{rounded("F#{ROWS[:net]}*F#{ROWS[:rush]}")}",
      word("total") => "=F#{ROWS[:net]}+F#{ROWS[:surcharge]}"
    }
  end

  def rounded(amount) = "ROUND(ROUND((#{amount})/F#{ROWS[:rounding]},6),0)*F#{ROWS[:rounding]}"

  def files(sheet)
    heading = [word("file"), *BANDS.map { |band| band_name(band) }, word("all")]
    sheet.add_row(heading, style: sheet.styles.add_style(b: true))
    last = Axlsx.col_ref(BANDS.size)
    @report.figures["files"].each_with_index do |file, index|
      words = BANDS.map { |band| file.dig("bands", band, "words") }
      sum = "=SUM(B#{index + 2}:#{last}#{index + 2})"
      # What a file is called is never a formula.
      sheet.add_row([file["name"], *words, sum], escape_formulas: [true, *words.map { true }, false])
    end
  end
end
