# The findings of a project: each segment is looked at again only when it has changed, or what it is checked
# against.
class Project::Checking
  # Raised when checks find other things than before.
  VERSION = 1
  BATCH = 500

  def initialize(project)
    @project = project
  end

  # [{segment, "code", "level", "message", "source", "target", "fix", key:, all_key:, stands: LetStand or nil}
  # …] in text order.
  def findings
    found = kept
    across = across(segments)
    stands = @project.let_stands.index_by(&:digest)
    segments.flat_map do |segment|
      own = found.fetch(segment.id, []) + across.fetch(segment.id, []).map { |one| told(one) }
      own.map { |finding| row(segment, finding, stands) }
    end
  end

  # Findings of one segment, as it reads now.
  def of(segment) = checker.findings(pair(segment)).map { |finding| told(finding) }

  # The segments that have a translation, in text order.
  def segments
    @segments ||= @project.segments.joins(:document).where.not(target: "")
      .where(documents: { role: "current" }).order("documents.position", :position).includes(:document).to_a
  end

  private

  def row(segment, finding, stands)
    keys = [LetStand.digest_of(segment, finding), LetStand.digest_of_all(finding)]
    { **finding, segment: segment, key: keys[0], all_key: keys[1],
                 stands: stands.values_at(*keys).compact.first }
  end

  # {segment id => [finding …]}: what was kept where nothing changed, the rest looked at.
  def kept
    known = CheckedSegment.where(segment_id: segments.map(&:id)).index_by(&:segment_id)
    digests = segments.to_h { |segment| [segment.id, digest(segment)] }
    stale = segments.reject { |segment| known[segment.id]&.digest == digests[segment.id] }
    fresh = stale.to_h { |segment| [segment.id, of(segment)] }
    keep(fresh, digests)
    known.transform_values(&:findings).merge(fresh)
  end

  def keep(fresh, digests)
    fresh.each_slice(BATCH) do |slice|
      rows = slice.map { |id, list| { segment_id: id, digest: digests[id], findings: list } }
      CheckedSegment.upsert_all(rows, unique_by: :segment_id)
    end
  end

  def digest(segment)
    origin = segment.origin.slice("kind", "score", "touched").to_a
    seen = [segment.source, segment.target, segment.state, segment.limit, origin]
    Digest::SHA256.hexdigest([VERSION, terms_stamp, *seen].join("\0"))
  end

  def told(finding) = finding.to_h.transform_keys(&:to_s)

  def pair(segment)
    Glossema::Checks::Pair.new(source: segment.source_content, target: segment.target_content,
      source_lang: @project.source_lang, target_lang: @project.target_lang, state: segment.state,
      origin: segment.origin, limit: segment.limit)
  end

  def across(list)
    rows = list.map do |segment|
      Glossema::Checks::Across::Row.new(id: segment.id, number: segment.position,
        source: segment.source_content.text, target: segment.target_content.text)
    end
    Glossema::Checks::Across.findings(rows)
  end

  def checker
    @checker ||= Glossema::Checks::Checker.new(Glossema::Checks::Profile.new, terms: vocabulary)
  end

  def termbases
    @termbases ||= @project.attached_termbases.usable.where(checks: true).includes(:termbase).map(&:termbase)
  end

  def terms_stamp = @terms_stamp ||= termbases.map { |one| [one.id, one.revision] }.inspect

  def vocabulary
    return if termbases.empty?

    finders = [@project.source_lang, @project.target_lang].map { |lang|
      @project.term_finders(lang, checking: true)
    }
    Glossema::Checks::Vocabulary.new(*finders, @project.target_lang)
  end
end
