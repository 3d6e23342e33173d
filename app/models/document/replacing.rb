# A newer version of a client's file takes the place of the one in the project: first compared, then taken in,
# and back again.
module Document::Replacing
  # The pending document for a file dropped on this one; it is read and compared in the background.
  def propose_version(file, name)
    project.documents_of_any_role.where(replaces_id: id, role: "pending").destroy_all
    made =
      project.documents_of_any_role.new(
        role: "pending",
        replaces_id: id,
        position: position,
        name: name,
        byte_size: file.size,
        by: by,
        # Times that were changed were those of the old file.
        options: options.except("retimed"),
        source_lang: source_lang,
        checksum: Digest::SHA256.file(file.tempfile.path).hexdigest
      )
    made.original.attach(io: file, filename: name, identify: false)
    made.save!
    made.film.attach(film.blob) if film.attached?
    CompareVersionJob.perform_later(made)
    made
  end

  def replaced = project.documents_of_any_role.find(replaces_id)

  # What taking it in would do, in segments and words: {"same" => {segments, words}, "changed" …, "new" …,
  # "gone" …}.
  def compare
    fresh, old = opened(as_stored: false), replaced.segments.to_a
    raise Glossema::Refused.new("no-text", name: name) if fresh.segments.empty?

    if fresh.format::NAME != replaced.format
      replacing = { old_name: replaced.name, old_format: replaced.format }
      raise Glossema::Refused.new("format-other", name: name, fresh_format: fresh.format::NAME, **replacing)
    end

    revision = revision_of(fresh, old)
    words = ->(content) { Glossema::Counting::Count.of(content).words }
    sums =
      revision
        .links
        .group_by { |link| link.kind.to_s }
        .transform_values do |links|
          { segments: links.size, words: links.sum { |link| words[fresh.segments[link.index].content] } }
        end
    gone = revision.gone.map { |index| old[index] }
    update!(
      state: "ready",
      format: fresh.format::NAME,
      comparison: { same: none, changed: none, new: none }.stringify_keys
          .merge(sums)
          .merge(
            "gone" => {
              segments: gone.size,
              words: gone.sum(&:words)
            },
            "lost" => gone.count { |row| row.target.present? }
          )
    )
  end

  # Puts this version in the place of the old one. Unchanged segments keep state, history and notes; changed
  # ones come as drafts with the old translation.
  def take_in(by:)
    fresh, old = opened(as_stored: false), replaced.segments.includes(:versions).to_a
    links = revision_of(fresh, old).links
    transaction do
      replaced.update!(role: "replaced")
      update!(role: "current", source_lang: source_lang || fresh.language)
      fresh.segments.each_with_index do |segment, index|
        take_segment(segment, index + 1, links[index], old, by)
      end
      Note.move(replaced, self)
      keep_reading(fresh)
      Memory.renew_neighbours(self)
      note(by, "version", facts: comparison.to_h.transform_values { |one|
        one.is_a?(Hash) ? one["segments"] : one
      })
    end
    project.reload
    CountProjectJob.perform_later(project)
  end

  # The version before this one comes back as it was, with what was translated since in texts both have; this
  # one stays to be taken in again.
  def put_back(by:, noted: true)
    unless role == "current" && replaces_id
      raise Glossema::Refused.new("nothing-before", name: name)
    end

    transaction do
      before = replaced
      before.update!(role: "current")
      before.follow_version(self, by)
      Note.move(self, before)
      update!(role: "replaced")
      note(by, "put-back") if noted
      before
    end
  end

  # A version that was put back takes its place again.
  def take_place_again(by:)
    transaction do
      replaced.update!(role: "replaced")
      update!(role: "current")
      follow_version(replaced, by)
      Note.move(replaced, self)
    end
  end

  # Texts that another version of this file has too take what was translated there since.
  def follow_version(other, by)
    theirs = other.segments.includes(:versions).group_by(&:source)
    segments.each do |row|
      twin = theirs[row.source]&.shift or next
      MemoryUnit.where(segment_id: twin.id).update_all(segment_id: row.id)
      next if twin.target == row.target && twin.state == row.state
      next if twin.updated_at <= row.updated_at

      fields = twin.attributes.slice("target", "state", "origin", "marked", "confirmed_at")
      row.update!(**fields, version: row.version + 1)
      row.remember(by)
    end
  end

  # Its text as a revision takes it: read anew while it waits to be taken in.
  def contents_by_unit
    return places_of(segments.to_a) unless role == "pending"

    fresh_places(opened(as_stored: false))
  end

  def places_of(rows)
    rows.map { |row| Document::Cutting::Place.new(row.unit_id, row.context.present?, row.source_content) }
  end

  private

  def none = { segments: 0, words: 0 }

  def revision_of(fresh, old)
    Glossema::Revision.new(places_of(old), fresh_places(fresh))
  end

  def fresh_places(opened)
    opened.segments.map { |one| Document::Cutting::Place.new(one.unit.id, one.unit.key.to_s != "", one.content) }
  end

  def take_segment(segment, position, link, old, by)
    row = Segment.new(Segment.row(self, segment, position))
    before = link.old && old[link.old]
    return row.save! unless before

    link.kind == :same ? take_same(row, before) : take_changed(row, segment, before, link.score, by)
  end

  SAME = %w[target state origin marked version confirmed_at alternatives].freeze

  # A text that did not change keeps everything.
  def take_same(row, before)
    row.update!(before.attributes.slice(*SAME))
    history = before.versions.map { |version| version.attributes.except("id").merge("segment_id" => row.id) }
    Version.insert_all!(history) if history.any?
    MemoryUnit.where(segment_id: before.id).update_all(segment_id: row.id)
  end

  # One that changed gets what stood there as a draft, and offered with the change marked.
  def take_changed(row, segment, before, score, by)
    return row.save! if before.target.blank?

    earlier = { source: before.source_content.text, target: before.target_content.text }
    row.update!(
      alternatives: row.alternatives + [{ **earlier, score: score, origin: "earlier" }],
      target: before.target_content.fitted(segment.content).written,
      state: "draft",
      origin: { kind: "earlier", score: score },
      version: 1
    )
    row.remember(by)
  end
end
