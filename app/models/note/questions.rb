# The questions of a project to its client, as a DOCX or XLSX to be answered in, and back.
require "caxlsx"

class Note::Questions
  def initialize(project)
    @project = project
  end

  def name(form)
    "#{[@project.reference, I18n.t("questions.file")].compact_blank.join(" ")}.#{form}".tr("/\\", "-")
  end

  # form: "docx" or "xlsx". Raises Refused "no-questions".
  def bytes(form)
    raise Glossema::Refused.new("no-questions") if questions.empty?

    form == "xlsx" ? xlsx : sheet.docx
  end

  # Answers that came back: {"taken" => n, "same" => n, "strange" => [numbers that are no question of this
  # project]}. Raises Refused for what is no such sheet.
  def take_in(bytes, name, by:)
    answers = Glossema::Exchange::QuestionSheet.answers(bytes, name)
    known = @project.notes.questions.index_by(&:id)
    strange = answers.keys - known.keys
    raise Glossema::Refused.new("sheet-of-another", name: name) if strange.size == answers.size

    changed = answers.select { |id, text| known[id] && text.present? && known[id].answer != text }
    Note.transaction { changed.each { |id, text| known[id].answer_with(text, by: by.presence || client) } }
    { "taken" => changed.size, "same" => answers.size - changed.size - strange.size, "strange" => strange }
  end

  private

  def client = @project.client&.name || I18n.t("questions.client")

  def questions
    @questions ||= @project.notes.questions.where(settled_at: nil).includes(:document, :segment)
      .sort_by { |note| [note.document&.position || 0, note.segment&.position || 0, note.id] }
  end

  def sheet
    rows = questions.map do |note|
      Glossema::Exchange::QuestionSheet::Question.new(
        id: note.id, place: [note.document&.name, note.segment&.position].compact.join(", "),
        source: Glossema::Content.plain(note.source.to_s), target: note.segment&.target_content&.text.to_s,
        text: note.text, answer: note.answer
      )
    end
    Glossema::Exchange::QuestionSheet.new(rows, title: title, source_lang: @project.source_lang,
      target_lang: @project.target_lang)
  end

  def title = [@project.reference, @project.name].compact_blank.join(" · ")

  def xlsx
    package = Axlsx::Package.new
    package.use_shared_strings = true
    package.workbook.add_worksheet(name: I18n.t("questions.file")) { |page| fill(page) }
    package.to_stream.read
  end

  def fill(page)
    bold = page.styles.add_style(b: true)
    wrapped = page.styles.add_style(alignment: { wrap_text: true, vertical: :top })
    heading, *rows = sheet.rows
    page.add_row(heading, style: bold)
    # A text that begins like a formula is none.
    rows.each { |row| page.add_row(row, style: wrapped, types: :string, escape_formulas: true) }
    page.column_widths(*Glossema::Exchange::QuestionSheet::WIDTHS.map { |share| share * 1.2 })
  end
end
