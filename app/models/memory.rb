# A translation memory: units of one language pair.
class Memory < ApplicationRecord
  KEPT = 30.days

  belongs_to :user, optional: true
  has_many :units, class_name: "MemoryUnit", dependent: nil, inverse_of: :memory
  has_many :acts, class_name: "MemoryChange", dependent: nil, inverse_of: :memory
  has_many :attachments, class_name: "AttachedMemory", dependent: :destroy, inverse_of: :memory

  scope :present, -> { where(deleted_at: nil) }
  validates :name,
    presence: true,
    uniqueness: {
      scope: :user_id,
      conditions: -> { present },
      message: "is the name of another memory"
    }
  validate do
    unless [source_lang, target_lang].all? { |tag| Glossema::Languages.valid?(tag) }
      errors.add(:base, "The languages are not language tags such as en-GB")
    end
  end

  # Same languages, whatever the regions.
  def fits?(source, target) =
    Glossema::Languages.same?(source_lang, source) && Glossema::Languages.same?(target_lang, target)

  # Takes in a confirmed segment. The unit it made before is updated; one with the same texts is counted as
  # used; else one is made, also beside others of the same source: those are kept apart by what stands around
  # them.
  def learn(segment, by:)
    writer = MemoryWriter.new(self)
    attributes = unit_attributes(segment, by)
    unit = own_unit(segment)
    twin =
      units
        .where(source_hash: MemoryUnit.hash_of_key(segment.source_key), target: segment.target)
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
        author: by.name,
        created_at: Time.current,
        **attributes
      }
    )
  end

  # Takes in pairs at once, found by lookups when this returns. The same source and target is never doubled.
  # Returns how many were new.
  def take_in(pairs)
    pairs.count do |pair|
      content = Glossema::Content.from_written(pair.source)
      if content.blank? || pair.target.blank? ||
          units.exists?(source_hash: MemoryUnit.hash_of(pair.source), target: pair.target)
        next false
      end

      times =
        pair.attributes.values_at("created_at", "updated_at").map { |time| time && Time.zone.parse(time) }
      MemoryWriter.new(self).add(
        {
          source: pair.source,
          target: pair.target,
          created_at: times[0] || Time.current,
          updated_at: times[1] || times[0] || Time.current,
          origin: pair.attributes["origin"] || "imported",
          **pair
            .attributes
            .slice("author", "changed_by", "client", "subject", "project", "file")
            .symbolize_keys
        }
      )
    end
  end

  # Makes the index anew from the units.
  def reindex
    index = MemoryIndex.new(id)
    index.clear
    first = units.minimum(:id) or return
    builder = MemoryIndex::Builder.new(id, first)
    units.in_batches(of: MemoryChange::STEP) do |batch|
      transaction do
        batch.each do |unit|
          entry = MemoryUnit.entry(unit.source)
          unit.update_columns(words: entry.signature)
          builder.add(unit.id, entry)
        end
      end
    end
    builder.finish
  end

  # Finishes the index of imports whose process is gone.
  def repair
    acts
      .where(kind: "import", state: "running")
      .find_each do |change|
        next if change.facts["pid"] && alive?(change.facts["pid"])

        UnitImport.new(change).finish_earlier
        change.update!(state: "cancelled")
      end
  end

  # What stands before and after the units of a document's segments, as it is cut now.
  def self.renew_neighbours(document)
    keys = Segment.where(document_id: document.id).order(:position).pluck(:id, :source_key)
    places = keys.each_with_index.to_h { |(id, _), index| [id, index] }
    MemoryUnit
      .where(segment_id: places.keys)
      .find_each do |unit|
        at = places[unit.segment_id]
        beside =
          [at.zero? ? nil : keys[at - 1], keys[at + 1]].map { |one| one && MemoryUnit.hash_of_key(one.last) }
        if [unit.previous_hash, unit.next_hash] != beside
          unit.update_columns(previous_hash: beside[0], next_hash: beside[1])
        end
      end
  end

  # Deletes units, or sets client and subject of many, as one step that can be taken back. chosen: {"ids" =>
  # […]} or {"search" => {…}}, see UnitSearch. Returns the MemoryChange.
  def change_units(chosen, kind, set, by:)
    count = chosen_units(chosen).count
    raise Glossema::Refused.new("nothing-chosen", "There is no unit to change.") if count.zero?

    summary = set.map { |name, value| "#{name}: #{value}" }.join(", ")
    acts.create!(
      user: by,
      kind: kind,
      state: "waiting",
      total: count,
      summary: summary,
      facts: {
        "read" => count
      },
      options: {
        "chosen" => chosen,
        "set" => set
      }
    ).tap(&:begin)
  end

  # Does what an act on many units says. Can be cancelled, and begun again after a restart.
  def work_on(change)
    chosen, set = change.options.values_at("chosen", "set")
    writer, time = MemoryWriter.new(self), change.created_at
    chosen_units(chosen)
      .where.not(id: change.versions.select(:unit_id))
      .pluck(:id)
      .each_slice(MemoryChange::STEP) do |slice|
        break if change.reload.state == "cancelled"

        transaction do
          MemoryUnitVersion.insert_all!(
            units
              .where(id: slice)
              .map { |unit| { unit_id: unit.id, change_id: change.id, before: unit.kept } }
          )
          if change.kind == "delete"
            writer.remove(slice)
          else
            units.where(id: slice).update_all(
              **set.symbolize_keys,
              changed_by: change.user&.name,
              updated_at: time
            )
          end
          change.update!(state: "running", done: change.done + slice.size)
        end
      end
    change.update!(state: "done") unless change.state == "cancelled"
  end

  # Takes in all units of another memory, which is then deleted; it can be brought back by taking the merging
  # back.
  def merge(other, by:)
    raise Glossema::Refused.new("merge-self", "A memory cannot be merged with itself.") if other.id == id
    unless fits?(other.source_lang, other.target_lang)
      raise Glossema::Refused.new(
        "pair-wrong",
        "“#{other.name}” is from #{other.source_lang} to #{other.target_lang} and does not fit “#{name}”."
      )
    end

    other.update!(deleted_at: Time.current)
    begin_moving(by, "merge", other, other.units.count)
  end

  # Makes a memory of its own for each client or subject field; units without one stay.
  def split(field, by:)
    unless %w[client subject].include?(field)
      raise Glossema::Refused.new("split-by", "A memory is split by client or by subject.")
    end

    values = units.where.not(field => [nil, ""]).distinct.pluck(field)
    if values.empty? || (values.size == 1 && units.where(field => [nil, ""]).none?)
      raise Glossema::Refused.new("split-one", "All units are of the same #{field}.")
    end

    values
      .map do |value|
        made =
          user.memories.create!(
            name: free_name("#{name} · #{value}"),
            source_lang: source_lang,
            target_lang: target_lang,
            description: description
          )
        made.send(
          :begin_moving,
          by,
          "split",
          self,
          units.where(field => value).count,
          "field" => field,
          "value" => value
        )
      end
      .last
  end

  # Units of another memory become units of this one, as an act of merging or splitting says; those it has
  # already are left out. Can be cancelled, and begun again after a restart.
  def take_over(change)
    from, field, value = change.options.values_at("from", "field", "value")
    scope = MemoryUnit.where(memory_id: from)
    scope = scope.where(field => value) if field
    index = MemoryIndex.new(id)
    scope.in_batches(of: MemoryChange::STEP) do |batch|
      break if change.reload.state == "cancelled"

      list = batch.to_a
      change.update!(
        state: "running",
        done: change.done + list.size,
        facts: change.facts.merge("added" => change.facts["added"].to_i + take_units(list, change, index))
      )
    end
    index.compact if index.crowded?
    change.update!(state: "done", done: change.total) unless change.state == "cancelled"
  end

  # There again. Where another has taken its name meanwhile it says so.
  def bring_back
    free = user_id && user.memories.present.exists?(name: name) ? free_name(name) : name
    update!(deleted_at: nil, name: free)
  end

  # Those deleted a while ago, for good.
  def self.purge_old = where(deleted_at: ..KEPT.ago).find_each(&:purge)

  # For good, with all it holds.
  def purge
    MemoryIndex.new(id).clear
    units.in_batches(of: 1000) { |batch| transaction { MemoryWriter.new(self).remove(batch.pluck(:id)) } }
    acts.find_each(&:destroy!)
    destroy!
  end

  private

  # Returns how many were new here.
  def take_units(list, change, index)
    transaction do
      known = units.where(source_hash: list.map(&:source_hash)).pluck(:source_hash, :target).to_set
      moved = list.reject { |unit| known.include?([unit.source_hash, unit.target]) }
      if moved.any?
        MemoryUnitVersion.insert_all!(
          moved.map { |unit| { unit_id: unit.id, change_id: change.id, before: unit.kept } }
        )
      end
      MemoryUnit.where(id: moved.map(&:id)).update_all(memory_id: id)
      moved.each { |unit| index.add(unit.id, MemoryUnit.entry(unit.source)) }
      moved.size
    end
  end

  # Returns the MemoryChange.
  def begin_moving(by, kind, from, count, **options)
    change =
      acts.create!(
        user: by,
        kind: kind,
        state: "waiting",
        total: count,
        summary: "from “#{from.name}”",
        options: {
          "from" => from.id,
          **options
        }
      )
    change.tap(&:begin)
  end

  def chosen_units(chosen) =
    if chosen["ids"].present?
      units.where(id: chosen["ids"])
    else
      UnitSearch.new(self, chosen.fetch("search", {}).with_indifferent_access).units
    end

  def free_name(base) =
    (0..)
      .lazy
      .map { |n| n.zero? ? base : "#{base} (#{n + 1})" }
      .find { |name| !user.memories.present.exists?(name: name) }

  def alive?(pid)
    Process.kill(0, pid) && true
  rescue Errno::ESRCH, Errno::EPERM
    false
  end

  # The unit a segment made. Where another segment still reads as it did, the unit is that one's from now on.
  def own_unit(segment)
    unit = units.find_by(segment_id: segment.id)
    return unit if unit.nil? || unit.target == segment.target

    same =
      segment
        .project
        .segments
        .where(source_key: segment.source_key, target: unit.target)
        .where.not(id: segment.id)
        .where.not(state: Segment::UNFINISHED)
    other = same.first or return unit
    unit.update!(segment_id: other.id, file: other.document.name, key: other.context, **neighbours(other))
    nil
  end

  # The history keeps what the unit was.
  def rewrite(unit, attributes, writer, by)
    if unit.target != attributes[:target]
      change = acts.create!(user: by, kind: "learn")
      MemoryUnitVersion.create!(unit_id: unit.id, change_id: change.id, before: unit.kept)
    end
    writer.change(unit, attributes)
  end

  def unit_attributes(segment, by)
    project = segment.project
    {
      target: segment.target,
      changed_by: by.name,
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
      previous_hash: MemoryUnit.hash_of_key(segment.neighbour(-1)&.source_key),
      next_hash: MemoryUnit.hash_of_key(segment.neighbour(1)&.source_key)
    }
end
