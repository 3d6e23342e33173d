# Changes to many units of a memory at once, each an operation.
module Memory::Bulk
  extend ActiveSupport::Concern

  # chosen: {"ids" => […]} or {"search" => {…}}, see Memory::Search. Returns the operation. Raises Refused
  # "nothing-chosen".
  def delete_units(chosen, by:)
    Operations::UnitDeletion.start(self, by: by, total: count_chosen(chosen), input: { "chosen" => chosen })
  end

  # set: {"client", "subject", "author"}, what they are to be. Returns and raises as delete_units.
  def edit_units(chosen, set, by:)
    summary = set.map { |name, value| "#{name}: #{value}" }.join(", ")
    Operations::UnitBulkEdit.start(self, by: by, total: count_chosen(chosen), summary: summary,
      input: { "chosen" => chosen, "set" => set })
  end

  # how: {"find", "with", "side", "regex", "cased", "words"}. Returns and raises as delete_units, and raises
  # Refused "find-pattern.…".
  def replace_in_units(chosen, how, by:)
    flags = %w[regex cased words].to_h { |name| [name.to_sym, how[name] == true] }
    Glossema::Replacing.new(find: how["find"].to_s, **flags)
    Operations::UnitBulkEdit.start(self, by: by, total: count_chosen(chosen),
      summary: "#{how["find"]} → #{how["with"]}", input: { "chosen" => chosen, "replace" => how })
  end

  def chosen_units(chosen)
    return units.where(id: chosen["ids"]) if chosen["ids"]
    return units.none unless chosen.key?("search")

    Memory::Search.new(self, chosen["search"].to_h.with_indifferent_access).units
  end

  private

  def count_chosen(chosen)
    count = chosen_units(chosen).count
    raise Glossema::Refused.new("nothing-chosen") if count.zero?

    count
  end
end
