# Segments of a project translated ahead, as an act on it: first a look at what would come from where, then,
# if she wants it, the writing; both in the background, and with a way back.
class Pretranslation
  KIND = "pretranslation".freeze
  # Which segments: those nobody touched, or drafts too.
  WHICH = %w[untouched unfinished].freeze
  # What may count as confirmed.
  CONFIRMED = { "none" => [], "context" => %w[context], "exact" => %w[context exact] }.freeze
  # So many are written at a time.
  BATCH = 50
  KINDS = Glossema::Pretranslation::KINDS

  class << self
    # scope: ids of segments, or nil for the whole project; settings: threshold, which, confirms. Returns the
    # act. Raises Refused "nothing-to-translate".
    def begin(project, scope:, settings:, by:)
      ids = chosen(project, scope, settings["which"])
      raise Glossema::Refused.new("nothing-to-translate") if ids.empty?

      facts = { "state" => "looking", "done" => 0, "total" => ids.size, **settings }
      act = ProjectAct.note(project, by, KIND, facts: facts, before: { "ids" => ids })
      PretranslateJob.perform_later(act)
      act
    end

    private

    def chosen(project, scope, which)
      states = which == "unfinished" ? Segment::UNFINISHED : %w[untouched]
      list = project.segments.where(state: states)
      list = list.where(id: scope) if scope
      list.joins(:document).where(documents: { role: "current" }).order(:document_id, :position).ids
    end
  end

  def initialize(act)
    @act, @project = act, act.project
  end

  # What would come from where; nothing is written yet.
  def look
    ids = @act.before["ids"]
    found = Search.new(@project, @act.facts["threshold"]).run(ids) { |done| told(done) }
    return unless found

    trouble = by_machine(ids - found.keys, found) if @act.facts["machine"]
    @act.plan.attach(io: StringIO.new(JSON.generate(found)), filename: "plan.json")
    tell("state" => "looked", "done" => ids.size, "origins" => origins(ids, found), "trouble" => trouble)
  end

  # Writes what the look found into the segments that are still as they were then.
  def write
    rest = JSON.parse(@act.plan.download).to_a.drop(@act.facts["written"].to_i)
    rest.each_slice(BATCH).take_while { |rows| !stopped? && put_all(rows) }
    return if stopped?

    tell("state" => "done")
    @project.announce("recut")
  end

  # Takes back what it wrote and nobody changed since.
  def undo(by:) = @project.take_back(tag, by: by)

  private

  def tag = "ahead-#{@act.id}"
  def stopped? = !ProjectAct.exists?(@act.id) || @act.reload.undone_at.present?

  def told(done)
    return :stop if stopped?

    tell("done" => done)
  end

  def tell(facts)
    @act.update!(facts: @act.facts.merge(facts))
    @project.announce(KIND, id: @act.id)
  end

  # Puts to what was found what a machine gives for the rest. Returns why some have nothing, or nil.
  def by_machine(ids, found)
    translator = Machine::Translator.for(@project) or return
    segments = @project.segments.where(id: ids).index_by(&:id).values_at(*ids)
    segments.each_slice(Glossema::Pretranslation::BATCH).with_index do |slice, index|
      break if stopped?

      tell("by_machine" => [index * Glossema::Pretranslation::BATCH, segments.size])

      given = translator.translate(slice)
      slice.zip(given) do |segment, target|
        found[segment.id] = { "target" => target.written, "kind" => "machine" } if target
      end
    end
    translator.trouble
  end

  # {kind => {"segments", "words"}}
  def origins(ids, found)
    words = @project.segments.where(id: ids).pluck(:id, :words).to_h
    kinds = ids.group_by { |id| found[id]&.fetch("kind") || "none" }
    KINDS.to_h do |kind|
      own = kinds.fetch(kind, [])
      [kind, { "segments" => own.size, "words" => own.sum { |id| words[id].to_i } }]
    end
  end

  def put_all(rows)
    @project.transaction do
      rows.each { |id, found| put(@project.segments.find_by(id: id), found) }
      @act.update!(facts: @act.facts.merge("written" => @act.facts["written"].to_i + rows.size))
    end
    @project.announce(KIND, id: @act.id)
    true
  end

  def put(segment, found)
    return unless segment && Segment::UNFINISHED.include?(segment.state)
    return if segment.state == "draft" && @act.facts["which"] == "untouched"

    kind = found["kind"] == "machine" ? "machine" : "memory"
    origin = { "kind" => kind, **found.slice("score", "memory"), "act" => tag }
    if confirms?(found["kind"])
      segment.confirm(found["target"], origin: origin, by: @act.user)
    else
      segment.keep_draft(found["target"], origin: origin, by: @act.user)
    end
  end

  def confirms?(kind) = CONFIRMED.fetch(@act.facts["confirms"]).include?(kind)
end
