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
    Operations::FileComparison.start(project, by: project.user, summary: name,
      input: { "document_id" => made.id })
    made
  end

  def replaced = project.documents_of_any_role.find(replaces_id)

  # What accepting it would do, in segments and words: {"same" => {segments, words}, "changed" …, "new" …,
  # "gone" …}.
  def compare(operation)
    fresh, old = opened(as_stored: false, operation: operation), replaced.segments.to_a
    raise Glossema::Refused.new("no-text", name: name) if fresh.segments.empty?

    if fresh.format::NAME != replaced.format
      replacing = { old_name: replaced.name, old_format: replaced.format }
      raise Glossema::Refused.new("format-other", name: name, fresh_format: fresh.format::NAME, **replacing)
    end

    revision = operation.interruptible { revision_of(fresh, old) }
    words = ->(content) { Glossema::Counting::Count.count(content).words }
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

  # The version before this one comes back as it was, with what was translated since in texts both have; this
  # one stays to be accepted again. operation: that it is part of.
  def put_back(by:, operation:)
    raise Glossema::Refused.new("nothing-before", name: name) unless role == "current" && replaces_id

    change_places(self, replaced, by, operation)
  end

  # A version that was put back takes its place again.
  def take_place_again(by:, operation:) = change_places(replaced, self, by, operation)

  # Its text as a revision takes it: read anew while it waits to be taken in.
  def contents_by_unit
    return places_of(segments.to_a) unless role == "pending"

    fresh_places(opened(as_stored: false))
  end

  def places_of(rows)
    rows.map { |row| Document::Cutting::Place.new(row.unit_id, row.context.present?, row.source_content) }
  end

  # [[row, its twin in another version], …] of texts that both have.
  def pairs_with(other)
    theirs = other.segments.includes(:versions).group_by(&:source)
    segments.reload.filter_map { |row| (twin = theirs[row.source]&.shift) && [row, twin] }
  end

  # Texts that another version of this file has too take what was translated there since.
  def follow_version(pairs, by)
    pairs.each do |row, twin|
      next if (twin.target == row.target && twin.state == row.state) || twin.updated_at <= row.updated_at

      fields = twin.attributes.slice("target", "state", "origin", "marked", "confirmed_at")
      row.update!(**fields, version: row.version + 1)
      row.remember(by)
    end
  end

  def revision_of(fresh, old)
    Glossema::Revision.new(places_of(old), fresh_places(fresh))
  end

  private

  def none = { segments: 0, words: 0 }

  def fresh_places(opened)
    opened.segments.map do |one|
      Document::Cutting::Place.new(one.unit.id, one.unit.key.to_s != "", one.content)
    end
  end

  # One version goes and another one comes, in one short transaction.
  def change_places(going, coming, by, operation)
    pairs = coming.pairs_with(going)
    operation.complete do
      going.update!(role: "replaced")
      coming.update!(role: "current")
      coming.follow_version(pairs, by)
      Note.move(going, coming)
    end
    relink_units(pairs)
    coming
  end

  # What memories learned from a segment is from now on that of its twin.
  def relink_units(pairs)
    ShortTransaction.each(pairs) do |row, twin|
      TranslationUnit.where(segment_id: twin.id).update_all(segment_id: row.id)
    end
  end
end
