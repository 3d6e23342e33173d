# Acts on many units of a memory at once. Each is done in small steps, can be cancelled and taken back.
module Memory::Bulk
  extend ActiveSupport::Concern

  # Deletes units, or sets client and subject of many, as one step that can be taken back. chosen: {"ids" =>
  # […]} or {"search" => {…}}, see Memory::Search. Returns the MemoryChange.
  def change_units(chosen, kind, set, by:)
    count = chosen_units(chosen).count
    raise Glossema::Refused.new("nothing-chosen") if count.zero?

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
    writer, time = Memory::Writer.new(self), change.created_at
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

  private

  def chosen_units(chosen) =
    if chosen["ids"].present?
      units.where(id: chosen["ids"])
    else
      Memory::Search.new(self, chosen.fetch("search", {}).with_indifferent_access).units
    end
end
