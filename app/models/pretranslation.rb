# Segments of a project translated from memories, terms and machine translation: first a preview of what would
# come from where, then, if the user wants it, the writing.
class Pretranslation
  # Which segments: those nobody touched, or drafts too.
  WHICH = %w[untouched unfinished].freeze
  # What may count as confirmed.
  CONFIRMED = { "none" => [], "context" => %w[context], "exact" => %w[context exact] }.freeze
  KINDS = Glossema::Pretranslation::KINDS

  class << self
    # scope: ids of segments, or nil for the whole project; settings: "threshold", "machine", "which",
    # "confirms". Returns the operation of the preview. Raises Refused "nothing-to-translate".
    def preview(project, scope:, settings:, by:)
      ids = chosen(project, scope, settings["which"])
      raise Glossema::Refused.new("nothing-to-translate") if ids.empty?

      Operations::PretranslationPreview.start(project, by: by, total: ids.size,
        input: { **settings, "ids" => ids })
    end

    # Writes what a preview found. Returns the operation. Raises Refused "preview-first".
    def accept(preview, by:)
      raise Glossema::Refused.new("preview-first") unless preview.state == "done" && preview.output.attached?

      operation = Operations::Pretranslation.new(subject: preview.subject, user: by,
        weight: Operations::Pretranslation.default_weight, total: preview.total,
        input: preview.input.except("ids"), result: preview.result)
      operation.output.attach(preview.output.blob)
      operation.save!
      operation.tap(&:launch)
    end

    private

    def chosen(project, scope, which)
      states = which == "unfinished" ? Segment::UNFINISHED : %w[untouched]
      list = project.segments.where(state: states)
      list = list.where(id: scope) if scope
      list.joins(:document).where(documents: { role: "current" }).order(:document_id, :position).ids
    end
  end

  # operation: of a preview, or of the writing.
  def initialize(operation)
    @operation, @project, @settings = operation, operation.subject, operation.input
  end

  # What would come from where; nothing is written.
  def preview
    ids = @settings["ids"]
    search = Search.new(@project, @settings["threshold"], @operation)
    found = search.run(ids) { |done| report_progress(done, ids) }
    trouble = by_machine(ids - found.keys, found) if @settings["machine"]
    plan = JSON.generate(found)
    @operation.publish do
      @operation.output.attach(io: StringIO.new(plan), filename: "plan.json", identify: false)
      @operation.result = { "origins" => origins(ids, found), "trouble" => trouble }
    end
    @project.announce(KIND, id: @operation.id)
  end

  # Writes what the preview found into the segments that are still as they were then.
  def write
    plan = JSON.parse(@operation.output.download).to_a
    @operation.in_steps(plan, counter: "segments") { |id, found|
      put(@project.segments.find_by(id: id), found)
    }
  end

  private

  KIND = "pretranslation".freeze
  private_constant :KIND

  def report_progress(done, ids)
    @operation.progress([done, ids.size].min, ids.size)
    @project.announce(KIND, id: @operation.id)
  end

  # Puts to what was found what a machine gives for the rest. Returns why some have nothing, or nil.
  def by_machine(ids, found)
    translator = Machine::Translator.for(@project) or return
    segments = @project.segments.where(id: ids).index_by(&:id).values_at(*ids)
    @operation.enter("machine", total: segments.size)
    segments.each_slice(Glossema::Pretranslation::BATCH).with_index do |slice, index|
      @operation.progress(index * Glossema::Pretranslation::BATCH)
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

  # How a memory matched.
  def match_of(found) = found["memory"] ? { "match" => found["kind"] } : {}

  def put(segment, found)
    return unless segment&.unfinished?
    return if segment.state == "draft" && @settings["which"] == "untouched"

    kind = found["kind"] == "machine" ? "machine" : "memory"
    origin = { "kind" => kind, **found.slice("score", "memory"), **match_of(found), "act" => @operation.tag }
    if confirms?(found["kind"])
      segment.confirm(found["target"], origin: origin, by: @operation.user)
    else
      segment.keep_draft(found["target"], origin: origin, by: @operation.user)
    end
  end

  def confirms?(kind) = CONFIRMED.fetch(@settings["confirms"]).include?(kind)
end
