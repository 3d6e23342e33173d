# Attributes of many units set at once, or texts in them replaced. input: "chosen", see Memory#chosen_units;
# "set": {attribute => value}; "replace": {"find", "with", "side", "regex", "cased", "words"}, or nil.
class Operations::UnitBulkEdit < Operation
  include Operation::RevertsUnits

  self.default_weight = "bulk"
  self.reverts_when_stopped = true

  def perform
    ids = subject.chosen_units(input["chosen"]).where.not(id: unit_versions.select(:unit_id)).ids
    in_slices(ids, SLICE) { |slice| replacing ? replace(slice) : change(slice) }
  end

  private

  # By their ids alone: asked for those of the memory, SQLite would go through all of it for each slice.
  def change(ids)
    keep(ids)
    TranslationUnit.where(id: ids).update_all(**input["set"].symbolize_keys, changed_by: user&.name,
      updated_at: created_at)
  end

  def replacing
    return unless input["replace"]

    @replacing ||= begin
      find, with = input["replace"].values_at("find", "with").map(&:to_s)
      flags = %w[regex cased words].to_h { |name| [name.to_sym, input["replace"][name] == true] }
      Glossema::Replacing.new(find: find, with: with, **flags)
    end
  end

  # What would leave nothing of a text leaves it as it is.
  def replace(ids)
    side, writer = input["replace"]["side"] == "source" ? "source" : "target", Memory::Writer.new(subject)
    TranslationUnit.where(id: ids).find_each do |unit|
      after = replacing.in(Glossema::Content.from_written(unit[side]))&.after
      next if after.nil? || after.blank?

      keep([unit.id])
      writer.change(unit, side => after.written, changed_by: user&.name, updated_at: created_at)
    end
  end

  def keep(ids)
    rows = TranslationUnit.where(id: ids).map { |unit|
      { unit_id: unit.id, operation_id: id, before: unit.kept }
    }
    TranslationUnitVersion.insert_all!(rows) if rows.any?
  end
end
