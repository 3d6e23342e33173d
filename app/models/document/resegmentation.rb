# A document cut into other segments while the translation goes on. Texts that did not change keep everything;
# of the others the translation goes to the segment in which it began, as a draft.
#
# What is new is made out of sight, as segments of a staged document, in small steps; then all of it takes its
# place in one short transaction. Whoever changed the segments meanwhile makes it begin again.
class Document::Resegmentation
  # So often it begins again before it gives up.
  TRIES = 4
  # Somebody else changed the same segments meanwhile.
  Overtaken = Class.new(StandardError)

  # as_stored: as `breaks` of the document says, not by today's rules; operation: that it is part of, which
  # can be cancelled.
  def initialize(document, by:, as_stored: false, operation: nil)
    @document, @by, @as_stored, @operation = document, by, as_stored, operation
  end

  # prepare: what changes attributes of the document before it is read, on each try; the block runs in the
  # transaction in which the new segments take their place. Raises Refused "changed-meanwhile", and what the
  # document is refused for.
  def run(prepare: nil, &swapped)
    tries = 0
    begin
      attempt(prepare, &swapped)
    rescue Overtaken
      @document.reload
      raise Glossema::Refused.new("changed-meanwhile") if (tries += 1) == TRIES

      retry
    end
  end

  private

  def attempt(prepare, &)
    @version = @document.segmentation_version
    prepare&.call
    read
    stage
    ShortTransaction.run { swap(&) }
    clear_staged
    follow_up
  ensure
    clear_staged
  end

  def read
    @kept_rows = @counts = nil
    @fresh = @document.opened(as_stored: @as_stored, operation: @operation)
    @old = @document.segments.reload.to_a
    @links = computing { Glossema::Revision.new(old_places, fresh_places).links }
    same = @links.each_index.select { |index| @links[index].kind == :same }
    @kept = same.to_h { |index| [index, @old[@links[index].old]] }
    @lost = @old - @kept.values
    ActiveRecord::Associations::Preloader.new(records: @lost, associations: :versions).call
  end

  def computing(&) = @operation ? @operation.interruptible(&) : yield

  def old_places = @old.map { |row| Document::Cutting::Place.new(row.unit_id, false, row.source_content) }

  def fresh_places
    @fresh.segments.map { |one| Document::Cutting::Place.new(one.unit.id, false, one.content) }
  end

  # The new segments, as those of a document that nobody sees.
  def stage
    @given_again = []
    fresh = @fresh.segments.each_index.reject { |index| @kept.key?(index) }
    return @staged = nil if fresh.empty? && @lost.empty?

    @staged = @document.stage
    moving = Document::MovedTranslations.new(@document, @fresh, @old, @lost)
    ShortTransaction.each(fresh) { |index| moving.add(index, @staged, @by, @given_again) }
  end

  def swap
    overtake
    move_kept
    replace_lost if @staged
    Segment.where(document_id: @document.id, position: ...0).update_all("position = -position")
    Note.find_place_again(@document)
    @document.update!(
      reader_version: Glossema::READER_VERSION,
      breaks: @fresh.breaks, total: @fresh.segments.size, done: @fresh.segments.size,
      facts: @document.facts.merge(@document.facts_of(counts))
    )
    yield if block_given?
  end

  # Of two changes at once the second one begins again, and so does one of whose segments somebody wrote in
  # one.
  def overtake
    claimed = Document.where(id: @document.id, segmentation_version: @version)
      .update_all("segmentation_version = segmentation_version + 1")
    raise Overtaken if claimed.zero?

    now = Segment.where(id: @lost.map(&:id)).pluck(:id, :version, :updated_at)
    raise Overtaken if now.to_set != @lost.to_set { |row| [row.id, row.version, row.updated_at] }

    @document.segmentation_version = @version + 1
    @document.clear_attribute_changes([:segmentation_version])
  end

  # First out of the way of each other, by negative positions, then into place: those that only moved by a
  # statement for all that moved as far, the others one by one.
  def move_kept
    changed, moved = @kept.partition { |index, row| attributes_of(index) != row.slice(*MOVED) }
    moved.reject { |index, row| row.position == index + 1 }
      .group_by { |index, row| index + 1 - row.position }
      .each { |by, rows| move_by(by, rows.map { |_, row| row.id }) }
    changed.each { |index, row| row.update_columns(position: -(index + 1), **attributes_of(index)) }
  end

  MOVED = %w[key block location codes note limit].freeze

  def attributes_of(index)
    segment = @fresh.segments[index]
    { key: segment.id, block: segment.unit.block, location: segment.unit.location,
      codes: segment.content.code_hashes, note: segment.unit.note, limit: segment.unit.limit }.as_json
  end

  def move_by(distance, ids)
    ids.each_slice(5000) do |slice|
      Segment.where(id: slice).update_all(["position = -(position + ?)", distance])
    end
  end

  def replace_lost
    DetachedTranslation.insert_all!(kept_rows) if kept_rows.any?
    DetachedTranslation.where(id: @given_again).delete_all
    Note.where(segment_id: @lost.map(&:id)).update_all(segment_id: nil)
    Segment.where(id: @lost.map(&:id)).update_all(["position = position + ?, document_id = ?", ASIDE,
                                                   @staged.id])
    Segment.where(document_id: @staged.id, position: ...ASIDE)
      .update_all(["position = -position, document_id = ?", @document.id])
  end

  # Positions of segments that went, while they wait to be deleted.
  ASIDE = 10_000_000

  def kept_rows = @kept_rows ||= DetachedTranslation.rows(@document, @lost)

  def counts
    @counts ||= @fresh.segments.map { |segment| Glossema::Counting::Count.count(segment.content) }
  end

  def clear_staged
    @staged&.purge
    @staged = nil
  end

  def follow_up
    @document.segments.reset
    @document.keep_page(@fresh)
    Memory.renew_neighbours(@document)
    @document.project.count_when_looked_at
  end
end
