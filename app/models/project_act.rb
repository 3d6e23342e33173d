# Something done to a project as a whole: rules, cuts, files. It stands in "what was done" and can be taken
# back from there at any later time; what was translated since stays with its text.
class ProjectAct < ApplicationRecord
  KINDS = %w[rules settings times split join version put-back file-in file-out pretranslation replacement
             fixes unified].freeze

  belongs_to :project
  belongs_to :user, optional: true
  has_one_attached :plan
  validates :kind, inclusion: { in: KINDS }

  # Those that were done: a look by itself changes nothing.
  scope :finished, -> {
    where.not(kind: Pretranslation::KIND)
      .or(where("json_extract(facts, '$.state') IN ('writing', 'done')"))
  }

  def self.note(project, by, kind, name: "", facts: {}, before: {})
    create!(project: project, user: by, kind: kind, name: name, facts: facts, before: before)
  end

  # Raises Glossema::Refused when it was taken back already, or cannot be any more.
  def undo(by:)
    raise Glossema::Refused.new("undone") if undone_at

    case kind
    when "rules" then undo_rules(by)
    when "settings" then undo_settings(by)
    when "times" then undo_times(by)
    when "split", "join" then undo_cut(by)
    when "version", "put-back" then undo_version(by)
    when "file-in" then document.put_away(by: by, noted: false)
    when "file-out" then document.bring_back
    else undo_written(by)
    end
    update!(undone_at: Time.current)
  end

  private

  def document
    project.documents_of_any_role.find_by(id: before["document_id"]) ||
      raise(Glossema::Refused.new("file-gone"))
  end

  # What wrote into many segments at once.
  def undo_written(by)
    case kind
    when "pretranslation" then Pretranslation.new(self).undo(by: by)
    when "replacement" then Replacement.undo(self, by: by)
    when "fixes" then Project::Fixing.undo(self, by: by)
    when "unified" then Project::Unifying.undo(self, by: by)
    end
  end

  def undo_rules(by)
    project.update!(rules: before["rules"])
    RecutJob.perform_later(project, by)
  end

  # Times that were changed are no setting, and stay.
  def undo_settings(by)
    row = document
    options = before["options"].to_h.except("retimed").merge(row.options.slice("retimed"))
    row.update!(by: before["by"] || row.by, options: options)
    RecutJob.perform_later(project, by, [row])
  end

  # Cues are counted as they stand after the last change: the last one is taken back first.
  def undo_times(by)
    row, kept = document, before.dig("options", "retimed").to_a
    raise Glossema::Refused.new("times-later") if row.options["retimed"].to_a.size != kept.size + 1

    row.update!(options: row.options.except("retimed").merge(kept.any? ? { "retimed" => kept } : {}))
    RecutJob.perform_later(project, by, [row])
  end

  # Only the paragraph that was cut by hand is cut as it was.
  def undo_cut(by)
    row, unit = document, before["unit"]
    row.update!(
      hand: row.hand.except(unit).merge(before["hand"] ? { unit => before["hand"] } : {}),
      breaks: row.breaks.except(unit).merge(before["breaks"].to_a.any? ? { unit => before["breaks"] } : {})
    )
    row.recut(by: by, as_stored: true)
  end

  def undo_version(by)
    kind == "version" ? document.put_back(by: by, noted: false) : document.take_place_again(by: by)
  end
end
