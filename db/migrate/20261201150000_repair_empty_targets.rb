# A reviser who deleted a translation left a segment reviewed without one, which was then taught to memories.
class RepairEmptyTargets < ActiveRecord::Migration[7.2]
  BLANK = "trim(%s, ' ' || char(9, 10, 13, 160)) = ''".freeze
  CONFIRMED = "IN ('translated', 'reviewed', 'final')".freeze

  def up
    execute "UPDATE segments SET state = 'untouched', version = version + 1 " \
      "WHERE state #{CONFIRMED} AND #{format(BLANK, "target")}"
    execute "UPDATE versions SET state = 'untouched' WHERE state #{CONFIRMED} AND #{format(BLANK, "target")}"
    execute "UPDATE kept_translations SET fields = json_set(fields, '$.state', 'untouched') " \
      "WHERE json_extract(fields, '$.state') #{CONFIRMED} AND " +
      format(BLANK, "coalesce(json_extract(fields, '$.target'), '')")
    execute "DELETE FROM memory_units WHERE #{format(BLANK, "target")}"
  end

  def down
    # Nothing is lost that would have to come back.
  end
end
