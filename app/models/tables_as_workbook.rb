# Tables as an XLSX workbook, a sheet each: a heading, and rows whose texts wrap. Sheets and headings are
# told in the language of whoever asks.
require "caxlsx"

class TablesAsWorkbook
  include TableWords

  def initialize
    @package = Axlsx::Package.new
    @package.use_shared_strings = true
  end

  # name, header: keys of config/locales/tables; widths: in characters; rows: arrays of cells. What a client
  # wrote is text, never a formula.
  def add(name, header, widths, rows)
    @package.workbook.add_worksheet(name: word("sheets.#{name}")) do |sheet|
      bold = sheet.styles.add_style(b: true)
      wrapped = sheet.styles.add_style(alignment: { wrap_text: true, vertical: :top })
      sheet.add_row(header.map { |key| word(key) }, style: bold)
      rows.each { |row| sheet.add_row(row, style: wrapped, escape_formulas: true) }
      sheet.column_widths(*widths)
    end
    self
  end

  def bytes = @package.to_stream.read
end
