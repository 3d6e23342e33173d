# What is not done yet before a delivery, each with the first places to go to.
class Project::Readiness
  PLACES = 8
  # Formats whose texts are cells.
  TABLES = %w[CSV XLSX ODS].freeze
  # Findings that are told by themselves here.
  TOLD_APART = %w[code-missing not-confirmed].freeze

  def initialize(project)
    @project = project
  end

  # {"untouched" => {count:, words:, places: [segment ids]}, "draft" => …, "codes" => …}, only what there is.
  def items
    {
      "untouched" => scope.where(state: "untouched"),
      "draft" => scope.where(state: "draft"),
      "codes" => Segment.where(id: broken_codes).order(:id),
      **found_by_checks,
      "misspelt" => scope.where(id: misspelt),
      "undecided" => scope.where(id: undecided),
      "remarks" => scope.where(id: with_remarks),
      "notes" => scope.where(id: with_notes),
      "questions" => scope.where(id: unanswered),
      "formulas" => Segment.where(id: formulas).order(:id),
      "unholdable" => Segment.where(id: unholdable).order(:id)
    }.transform_values { |found| { count: found.count, words: found.sum(:words), places: places(found) } }
      .reject { |_, item| item[:count].zero? }
  end

  # Rounds of review that are not back, or not read to the end: [{number:, reviser:}, …]
  def out = @project.review_rounds.where(state: "out").map { |round| round.slice("number", "reviser") }

  def summary = items.transform_values { |item| item.slice(:count, :words) }

  private

  # What the checks say, but for lost codes, which are told by themselves.
  def found_by_checks
    open = Project::Checking.new(@project).findings.reject { |row| row[:stands] || TOLD_APART.include?(row["code"]) }
    Glossema::Checks::LEVELS.to_h do |level|
      ids = open.select { |row| row["level"] == level }.map { |row| row[:segment].id }
      [level, scope.where(id: ids)]
    end
  end

  def misspelt
    Project::Misspellings.new(@project).words.flat_map { |_, places| places.map { |place| place.segment.id } }
  end

  def with_notes = @project.notes.there.where(kind: "note", settled_at: nil).select(:segment_id)

  def undecided
    ReviewChange.where(review_round: @project.review_rounds, decision: "open").select(:segment_id)
  end

  def with_remarks = @project.notes.remarks.where(settled_at: nil).select(:segment_id)
  def unanswered = @project.notes.questions.where(settled_at: nil, answer: "").select(:segment_id)
  def scope = @project.segments.joins(:document).order("documents.position", :position)

  def places(found)
    found
      .includes(:document)
      .limit(PLACES)
      .map do |segment|
        {
          id: segment.id,
          number: segment.position,
          file: segment.document.name,
          text: segment.source_content.text.truncate(90)
        }
      end
  end

  # Cells of tables that a spreadsheet would take for a formula, and their sources not.
  def formulas
    rows = scope.where(documents: { format: TABLES }).where.not(target: "").pluck(:id, :key, :source, :target)
    rows.filter_map do |id, key, *texts|
      source, target = texts.map { |text| Glossema::Exchange::Cells.formula?(Glossema::Content.plain(text)) }
      id if key.end_with?(":1") && target && !source
    end
  end

  # Targets with characters that no document can hold, from before these were left out.
  def unholdable
    pattern = Glossema::Content::UNHOLDABLE
    scope.where.not(target: "").pluck(:id, :target).filter_map { |id, target| id if target.match?(pattern) }
  end

  def broken_codes
    @broken_codes ||=
      scope
        .where.not(target: "")
        .where("segments.codes <> '[]'")
        .includes(:document)
        .select { |segment| segment.codes_lost.any? }
        .map(&:id)
  end
end
