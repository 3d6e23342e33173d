# A newer version of a file takes the place of the old one. Its segments are made out of sight, as those of
# the pending document, with what the old ones say; then both change places in one short transaction, in which
# what was written meanwhile is taken over too.
class Document::RevisionUpdate
  SAME = %w[target state origin marked version confirmed_at alternatives].freeze
  HISTORY = %w[user_id target state origin created_at updated_at].freeze

  # pending: the document; operation: that it is part of.
  def initialize(pending, operation)
    @pending, @operation, @by = pending, operation, operation.user
  end

  # The block runs in the transaction in which they change places.
  def run(&)
    @pending.discard_segments
    @old = @pending.replaced.segments.includes(:versions).to_a
    @fresh = @pending.opened(as_stored: false, operation: @operation)
    @links = @operation.interruptible { @pending.revision_of(@fresh, @old).links }
    prepare
    @operation.complete { change_places(&) }
    follow_up
  end

  private

  def prepare
    @rows = []
    @operation.enter("preparing", total: @fresh.segments.size)
    @operation.in_slices((0...@fresh.segments.size).to_a, 20) do |indexes|
      indexes.each { |index| @rows << [add(index), @links[index]] }
    end
  end

  def add(index)
    segment, link = @fresh.segments[index], @links[index]
    row = Segment.new(Segment.row(@pending, segment, index + 1))
    before = link.old && @old[link.old]
    before ? bring_over(row, segment, before, link) : row.save!
    row
  end

  def bring_over(row, segment, before, link)
    link.kind == :same ? keep_same(row, before) : keep_changed(row, segment, before, link.score)
  end

  # A text that did not change keeps everything.
  def keep_same(row, before)
    row.update!(before.attributes.slice(*SAME))
    history = before.versions.map { |version|
      version.attributes.slice(*HISTORY).merge("segment_id" => row.id)
    }
    Version.insert_all!(history) if history.any?
  end

  # One that changed gets what stood there as a draft, and offered with the change marked.
  def keep_changed(row, segment, before, score)
    return row.save! if before.target.blank?

    earlier = { source: before.source_content.text, target: before.target_content.text }
    row.update!(
      alternatives: row.alternatives + [{ **earlier, score: score, origin: "earlier" }],
      target: before.target_content.fitted(segment.content).written,
      state: "draft",
      origin: { kind: "earlier", score: score },
      version: 1
    )
    row.remember(@by)
  end

  def change_places
    old = @pending.replaced
    bring_over_latest(old)
    old.update!(role: "replaced")
    @pending.update!(role: "current", source_lang: @pending.source_lang || @fresh.language, **reading)
    Note.move(old, @pending)
    yield
  end

  # What was written in the old segments while the new ones were made.
  def bring_over_latest(old)
    known = @old.index_by(&:id)
    later = old.segments.reload.select { |now| known[now.id] && known[now.id].version != now.version }
    later.each do |now|
      row, link = @rows.find { |_, one| one.old && @old[one.old].id == now.id }
      next unless row

      Version.where(segment_id: row.id).delete_all
      if link.kind == :same
        keep_same(row,
          now)
      else
        keep_changed(row, @fresh.segments[link.index], now, link.score)
      end
    end
  end

  def reading
    counts = @fresh.segments.map { |segment| Glossema::Counting::Count.count(segment.content) }
    { reader_version: Glossema::READER_VERSION, breaks: @fresh.breaks, total: counts.size, done: counts.size,
      facts: @pending.facts.merge(@pending.facts_of(counts)) }
  end

  def follow_up
    same = @rows.select { |_, link| link.kind == :same }
    ShortTransaction.each(same) do |row, link|
      TranslationUnit.where(segment_id: @old[link.old].id).update_all(segment_id: row.id)
    end
    @pending.keep_page(@fresh)
    Memory.renew_neighbours(@pending)
    @pending.project.reload.count_when_looked_at
  end
end
