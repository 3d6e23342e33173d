# Units on their way from one memory to another: merging and splitting.
module Memory::Moving
  extend ActiveSupport::Concern

  # Takes in all units of another memory, which is then deleted; it can be brought back by taking the merging
  # back.
  def merge(other, by:)
    raise Glossema::Refused.new("merge-self") if other.id == id
    unless fits?(other.source_lang, other.target_lang)
      raise Glossema::Refused.new("pair-wrong.memory", **other.name_and_pair, other: name)
    end

    other.update!(deleted_at: Time.current)
    begin_moving(by, "merge", other, other.units.count)
  end

  # Makes a memory of its own for each client or subject field; units without one stay.
  def split(field, by:)
    unless %w[client subject].include?(field)
      raise Glossema::Refused.new("split-by")
    end

    values = units.where.not(field => [nil, ""]).distinct.pluck(field)
    if values.empty? || (values.size == 1 && units.where(field => [nil, ""]).none?)
      raise Glossema::Refused.new("split-one", field: field)
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
        made.begin_moving(
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
    index = Memory::Index.new(id)
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

  # Begins the act ("merge" or "split") by which units of another memory come here. Returns the MemoryChange.
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

  def free_name(base) =
    (0..)
      .lazy
      .map { |n| n.zero? ? base : "#{base} (#{n + 1})" }
      .find { |name| !user.memories.present.exists?(name: name) }
end
