# What a memory learns during work: confirmed segments and pairs of other sources.
module Memory::Learning
  extend ActiveSupport::Concern

  class_methods do
    # What stands before and after the units of a document's segments, as it is cut now.
    def renew_neighbours(document)
      keys = Segment.where(document_id: document.id).order(:position).pluck(:id, :source_key)
      places = keys.each_with_index.to_h { |(id, _), index| [id, index] }
      TranslationUnit
        .where(segment_id: places.keys)
        .find_each do |unit|
          at = places[unit.segment_id]
          beside =
            [at.zero? ? nil : keys[at - 1], keys[at + 1]].map { |one|
              one && TranslationUnit.hash_of_key(one.last)
            }
          if [unit.previous_hash, unit.next_hash] != beside
            unit.update_columns(previous_hash: beside[0], next_hash: beside[1])
          end
        end
    end
  end

  # Takes in a confirmed segment. The unit it made before is updated; one with the same texts is counted as
  # used; else one is made, also beside others of the same source: those are kept apart by what stands around
  # them. An empty target is nothing to learn.
  def learn(segment, by:)
    return if Segment.empty?(segment.target)
    return remote.learn(segment, by: by) if remote

    writer = Memory::Writer.new(self)
    attributes = unit_attributes(segment, by)
    unit = own_unit(segment)
    twin =
      units
        .where(source_hash: TranslationUnit.hash_of_key(segment.source_key), target: segment.target)
        .where.not(id: unit&.id)
        .first
    Memory.where(id: id).update_all(used_at: Time.current)
    if twin
      # The same again: the unit this segment made under another wording goes.
      writer.remove([unit.id]) if unit
      return twin.update!(used: twin.used + 1, used_at: Time.current)
    end
    return rewrite(unit, attributes, writer, by) if unit

    writer.add(
      {
        segment_id: segment.id,
        source: segment.source,
        author: segment.origin["author"] || by.name,
        created_at: Time.current,
        **attributes
      }
    )
  end

  # A confirmation was taken back: the unit it made goes, or reads as it did before.
  def unlearn(segment, by:)
    return if remote

    writer = Memory::Writer.new(self)
    unit = own_unit(segment)
    earlier = unit && TranslationUnitVersion.where(unit_id: unit.id).where.not(before: nil).order(:id).last
    if earlier
      rewrite(unit, { target: earlier.before["target"], updated_at: Time.current }, writer, by)
    elsif unit
      writer.remove([unit.id])
    end
    unlearn_sentence(segment, writer)
    tell_others(segment.project)
  end

  # Takes in a sentence that runs over several cues; one it took in before reads as it does now.
  def learn_sentence(sentence, by:)
    return if remote

    first = sentence.segments.first
    writer, source, target = Memory::Writer.new(self), *sentence.written
    about = { **unit_attributes(first, by), target: target, key: sentence.key, previous_hash: nil,
                                            next_hash: nil }
    own = units.find_by(source_hash: TranslationUnit.hash_of(source), key: sentence.key,
      file: first.document.name)
    return rewrite(own, about, writer, by) if own
    return if units.exists?(source_hash: TranslationUnit.hash_of(source), target: target)

    writer.add({ source: source, author: by.name, created_at: Time.current, **about })
  end

  # Takes in a unit that came by a key. One that came with this id before is what it says now, and the history
  # keeps what it was. Returns whether anything is new.
  def learn_from_outside(unit, key)
    own = unit.id.present? ? units.find_by(outside_id: "#{key.id}:#{unit.id}") : nil
    attributes = outside_attributes(unit, key)
    return own.target != unit.target && rewrite(own, attributes, Memory::Writer.new(self), nil) if own

    hash = TranslationUnit.hash_of(unit.source)
    return false if units.exists?(source_hash: hash, target: unit.target)

    Memory::Writer.new(self).add({ source: unit.source, author: attributes[:changed_by],
      created_at: Time.current, **attributes }) && true
  end

  # Takes in pairs at once, found by lookups when this returns. The same source and target is never doubled.
  # Returns how many were new.
  def take_in(pairs)
    # One after the other: the same pair may come twice.
    pairs.count { |pair| !blank_or_known?(pair) && Memory::Writer.new(self).add(attributes_of(pair)) }
  end

  private

  ABOUT_PAIRS = %w[author changed_by client subject project file].freeze

  def blank_or_known?(pair)
    Glossema::Content.from_written(pair.source).blank? || pair.target.blank? ||
      units.exists?(source_hash: TranslationUnit.hash_of(pair.source), target: pair.target)
  end

  def attributes_of(pair)
    given = pair.attributes
    made, changed = given.values_at("created_at", "updated_at").map { |time| time && Time.zone.parse(time) }
    {
      source: pair.source,
      target: pair.target,
      created_at: made || Time.current,
      updated_at: changed || made || Time.current,
      origin: given["origin"] || "imported",
      **given.slice(*ABOUT_PAIRS).symbolize_keys
    }
  end

  def outside_attributes(unit, key)
    {
      target: unit.target, changed_by: unit.author.presence || key.name, origin: unit.origin || "typed",
      outside_id: unit.id.presence && "#{key.id}:#{unit.id}", updated_at: Time.current,
      previous_hash: Glossema::Remote.number(unit.previous), next_hash: Glossema::Remote.number(unit.next),
      **unit.to_h.slice("client", "subject", "project", "file", "key").symbolize_keys
    }
  end

  # A sentence is learned once all its cues are confirmed.
  def unlearn_sentence(segment, writer)
    sentence = Segment::Sentence.around(segment)
    return if sentence.nil? || sentence.done?

    hash = TranslationUnit.hash_of(sentence.written.first)
    writer.remove(units.where(source_hash: hash, key: sentence.key, file: segment.document.name).ids)
  end

  # The unit a segment made. Where another segment, in any project that teaches this memory, still reads as it
  # did, the unit is that one's from now on.
  def own_unit(segment)
    unit = units.find_by(segment_id: segment.id)
    return unit if unit.nil? || unit.target == segment.target

    teaching = attachments.where.not(learns: "never").pluck(:project_id) | [segment.project_id]
    same = Segment
      .where(project_id: teaching, source_key: segment.source_key, target: unit.target, locked: false)
      .where(document_id: Document.current.select(:id))
      .where.not(id: segment.id)
      .where.not(state: Segment::UNFINISHED)
    other = same.first or return unit
    unit.update!(segment_id: other.id, file: other.document.name, key: other.context, **neighbours(other))
    nil
  end

  # The history keeps what the unit was.
  def rewrite(unit, attributes, writer, by)
    if unit.target != attributes[:target]
      operation = Operations::UnitLearning.record(self, by: by)
      TranslationUnitVersion.create!(unit_id: unit.id, operation_id: operation.id, before: unit.kept)
    end
    writer.change(unit, attributes)
  end

  def unit_attributes(segment, by)
    project = segment.project
    {
      target: segment.target,
      changed_by: segment.origin["author"] || by.name,
      client: project.client&.name,
      subject: project.subject,
      project: project.reference,
      file: segment.document.name,
      key: segment.context,
      origin: segment.origin["kind"] == "machine" ? "machine" : "typed",
      updated_at: Time.current,
      **neighbours(segment)
    }
  end

  def neighbours(segment) =
    {
      previous_hash: TranslationUnit.hash_of_key(segment.neighbour(-1)&.source_key),
      next_hash: TranslationUnit.hash_of_key(segment.neighbour(1)&.source_key)
    }
end
