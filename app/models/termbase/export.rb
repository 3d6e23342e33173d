# A termbase as a file for others.
class Termbase::Export
  include TableWords

  FORMS = %w[tbx csv tsv xlsx].freeze

  # style: of TBX, see Glossema::Exchange::Tbx; that of the file it came from where none is asked for; only:
  # the numbers of the records of entries that go along, all when nil.
  def initialize(termbase, style: nil, only: nil)
    @termbase, @style, @only = termbase, style, only
  end

  def name(form) = "#{@termbase.name.gsub(/[^\p{L}\p{N}]+/, "-").gsub(/\A-|-\z/, "")}.#{form}"

  def bytes(form)
    case form
    when "tbx" then tbx
    when "xlsx" then xlsx
    else separated(form == "csv" ? "," : "\t")
    end
  end

  private

  # An entry that came without an id gets that of its record.
  def entries
    records = @termbase.entries.there.order(:id)
    records = records.where(id: @only) if @only
    records.map do |record|
      record.entry.tap { |entry| entry.id ||= "g#{record.id}" }
    end
  end

  def tbx
    head = @style ? { "style" => @style } : @termbase.head
    out = +""
    Glossema::Exchange::Tbx.write(out, entries, { "title" => @termbase.name, **head })
    out
  end

  def rows = Glossema::Exchange::TermTable.rows(entries)

  def separated(mark)
    require "csv"
    rows.map { |row| row.map { |cell| Glossema::Exchange::Cells.harmless(cell) }.to_csv(col_sep: mark) }.join
  end

  def xlsx
    require "caxlsx"
    package = Axlsx::Package.new
    package.workbook.add_worksheet(name: word("sheets.terms")) do |sheet|
      heading = sheet.styles.add_style(b: true)
      rows.each_with_index do |row, index|
        sheet.add_row(row, types: [:string] * row.size, style: index.zero? ? heading : nil,
          escape_formulas: true)
      end
    end
    package.to_stream.read
  end
end
