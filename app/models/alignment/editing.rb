# Acts on the beads, each with a way back; what lies between fixed ones is aligned anew.
module Alignment::Editing
  # Acts that fix how beads stand, so that those around may stand otherwise.
  FIXING = %w[join split take_out down up cut confirm].freeze

  # act, at, given: see Glossema::Alignment::Editing. Returns [{at:, count:, beads:}, …] in the order in
  # which they are to be put in.
  def act(act, at, given)
    list = beads
    replaced = [put_in(list, Glossema::Alignment::Editing.new(list).act(act, at, given))]
    if FIXING.include?(act)
      Glossema::Alignment::Anew.new(list).around(at).each { |fresh| replaced << put_in(list, fresh) }
    end
    keep(act, replaced, list)
  end

  # All that are surer than this, and two-sided, are confirmed. Returns as act.
  def confirm_all(above)
    list = beads
    replaced = list.each_index.filter_map do |at|
      bead = list[at]
      next unless bead["state"].nil? && bead["source"].any? && bead["target"].any?
      next unless bead["set"] || bead["probability"].to_f >= above

      put_in(list, Glossema::Alignment::Editing.new(list).act("confirm", at))
    end
    keep("confirm_all", replaced, list)
  end

  # The last act is taken back. Returns as act; empty where there is none.
  def undo
    edit = edits.where(state: "done").order(:id).last or return []
    turn(edit, "undone", edit.before["replaced"].reverse.map { |one|
      [one["at"], one["after"], one["before"]]
    })
  end

  # The act taken back last is done again.
  def redo
    edit = edits.where(state: "undone").order(:id).first or return []
    turn(edit, "done", edit.before["replaced"].map { |one| [one["at"], one["before"], one["after"]] })
  end

  private

  def put_in(list, replacement)
    before = list[replacement.at, replacement.count]
    list[replacement.at, replacement.count] = replacement.beads
    { "at" => replacement.at, "before" => before, "after" => replacement.beads }
  end

  def keep(act, replaced, list)
    return [] if replaced.empty?

    transaction do
      edits.where(state: "undone").delete_all
      Operations::AlignmentEdit.record(self, by: user, summary: act, before: { "replaced" => replaced })
      update!(beads: list)
    end
    replaced.map { |one| { at: one["at"], count: one["before"].size, beads: one["after"] } }
  end

  def turn(edit, state, steps)
    list = beads
    recorded = steps.map do |at, from, into|
      list[at, from.size] = into
      { at: at, count: from.size, beads: into }
    end
    transaction do
      edit.update!(state: state, undone_at: state == "undone" ? Time.current : nil)
      update!(beads: list)
    end
    recorded
  end
end
