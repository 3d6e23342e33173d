# The list of projects as a workbook.
require "caxlsx"

class User::ProjectTable
  include TableWords

  COLUMNS = %w[due name reference client languages words left state delivered finished worth].freeze
  WIDTHS = [12, 40, 14, 28, 16, 10, 10, 14, 12, 12, 16].freeze

  def initialize(list)
    @list = list
  end

  def name = "#{word("names.projects")}.xlsx"

  def bytes
    package = Axlsx::Package.new
    package.use_shared_strings = true
    package.workbook.add_worksheet(name: word("sheets.projects")) do |sheet|
      sheet.add_row(COLUMNS.map { |column| word("projects.#{column}") }, escape_formulas: true)
      @list.rows.each { |row| sheet.add_row(cells(row), escape_formulas: true) }
      sheet.column_widths(*WIDTHS)
    end
    package.to_stream.read
  end

  private

  def cells(row)
    words = row[:words]
    [row[:due_at]&.to_date, row[:name], row[:reference], row[:client],
     [row[:source_lang], row[:target_lang]].compact.join(" → "), words.values.sum,
     words.values_at(*Segment::UNFINISHED).sum, row[:step] && word("projects.steps.#{row[:step]}"),
     row[:delivered_at]&.to_date, row[:finished_at]&.to_date,
     row[:worth].map { |one| "#{one[:amount]} #{one[:currency]}" }.join(", ")]
  end
end
