# The sheet of a round: its segments as the core's rows.
class ReviewRound::Sheet
  FORMS = { "docx" => "docx", "xlsx" => "xlsx", **Glossema::Review::Bilingual::FORMS,
            "hand-over" => "zip" }.freeze

  # ids: of segments, or nil for all that have a translation; operation: that it is part of.
  def initialize(round, ids, operation = nil)
    @round, @project, @ids, @operation = round, round.project, ids, operation
    raise Glossema::Refused.new("sheet-empty") if segments.empty?
  end

  def name
    [@project.reference, @round.reviser, @round.number].compact_blank.join(" ").tr("/\\", "-")
      .concat(".", FORMS.fetch(form))
  end

  def base = segments.to_h { |segment| [segment.id, segment.target] }
  def numbers = segments.to_h { |segment| [segment.id, segment.position] }

  def bytes
    return HandOver::Out.new(@round, segments, @operation).bytes if form == "hand-over"

    about = { id: @round.token, title: [@project.reference, @project.name].compact_blank.join(" · "),
              languages: [@project.source_lang, @project.target_lang], rows: segments.map { |one| row(one) } }
    case form
    when "docx" then Glossema::Review::Sheet.new(**about, **switches, tracking: tracking?).bytes
    when "xlsx" then Glossema::Review::Workbook.new(**about, **switches).bytes
    else Glossema::Review::Bilingual.write(form, **about)
    end
  end

  private

  def form = FORMS.key?(@round.options["as"]) ? @round.options["as"] : "docx"

  def switches
    options = @round.options
    { instructions: options["instructions"] == false ? [] : Glossema::Review::Instructions::PARTS,
      notes: options["notes"] != false, terms: options["terms"] == true }
  end

  def tracking? = @round.options["tracking"] != false

  def segments
    @segments ||= begin
      list = form == "hand-over" ? whole : Project::CheckRun.new(@project).translated
      list = list.where(id: @ids) if @ids
      list = list.where(document_id: chosen) if chosen
      list.order("documents.position", :position).includes(:document).to_a
    end
  end

  def chosen = @round.options["document_ids"]
  # All, translated or not.
  def whole = @project.segments.joins(:document).where(documents: { role: "current" })

  def row(segment)
    several = @project.documents.size > 1
    Glossema::Review::Row.new(id: segment.id, file: several ? segment.document.name : nil,
      number: segment.position, source: segment.source_content, target: segment.target_content,
      notes: [segment.note, *notes.fetch(segment.id, [])].compact_blank, terms: terms(segment))
  end

  def notes
    @notes ||= @project.notes.there.where(kind: "note", settled_at: nil).where.not(segment_id: nil)
      .group_by(&:segment_id).transform_values { |list| list.map(&:text) }
  end

  def terms(segment)
    return [] unless @round.options["terms"]

    text = segment.source_content.text
    finders.flat_map { |finder| finder.find(text) }.uniq(&:entry).filter_map do |found|
      into = found.entry.in(@project.target_lang).flat_map(&:usable).map(&:written)
      [text[found.from...found.to], into] if into.any?
    end
  end

  def finders = @finders ||= @project.term_finders(@project.source_lang, checking: true)
end
