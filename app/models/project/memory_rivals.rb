# Where the memories of a project hold another translation for the very source of a segment.
class Project::MemoryRivals
  SHOWN = 200
  BATCH = 500
  Rival = Struct.new(:segment, :unit)

  def initialize(project)
    @project = project
  end

  # [Rival …] in text order: segments whose memories have only other translations of the same source, with the
  # newest one. The memory that learns on confirmation is left out.
  def all
    ids = @project.attachments.usable.where.not(learns: "confirm").pluck(:memory_id)
    return [] if ids.empty?

    segments.each_slice(BATCH).lazy.flat_map { |slice| rivals(slice, ids) }.first(SHOWN)
  end

  private

  def segments
    Project::CheckRun.new(@project).translated.where.not(state: Segment::UNFINISHED).includes(:document)
      .order("documents.position", :position)
  end

  def rivals(slice, ids)
    hashes = slice.map { |segment| TranslationUnit.hash_of_key(segment.source_key) }
    held = TranslationUnit.includes(:memory).where(memory_id: ids,
      source_hash: hashes).group_by(&:source_hash)
    slice.zip(hashes).filter_map { |segment, hash| rival(segment, held.fetch(hash, [])) }
  end

  def rival(segment, units)
    own = fold(segment.target_content.text)
    return if units.empty? || units.any? { |unit| fold(unit.target_content.text) == own }

    Rival.new(segment, units.max_by(&:updated_at))
  end

  def fold(text) = text.strip.downcase.sub(/[.:;,!?…]+\z/, "")
end
