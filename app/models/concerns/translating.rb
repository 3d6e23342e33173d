# Writing a translation: drafts, confirming, repeats, and the history of each segment.
module Translating
  DRAFT_WINDOW = 10.minutes

  # Keeps what was typed. Never refused for being late: what it replaces stays in the history.
  # target: written form; origin: {"kind" => "typed" | "memory" | "machine" | "repeated" | "source", …}.
  def keep_draft(target, origin:, by:, marked: nil)
    check_codes(target)
    transaction do
      self.marked = marked unless marked.nil?
      next save! if target == self.target

      assign_attributes(target: target, origin: origin, state: target.empty? ? "untouched" : "draft", version: version + 1)
      save!
      record(by)
    end
  end

  # Confirms the target, teaches the memories that learn at once, and fills the repeats. Returns the repeats filled.
  def confirm(target, origin:, by:)
    check_codes(target)
    raise Glossema::Refused.new("target-empty", "There is nothing to confirm yet: the target is empty.") if target.strip.empty?

    transaction do
      assign_attributes(target: target, origin: origin, state: "translated", version: version + 1, confirmed_at: Time.current)
      save!
      record(by)
      project.attachments.learning("confirm").includes(:memory).find_each { |attachment| attachment.memory.learn(self, by: by) }
      fill_repeats(by)
    end
  end

  private

  def check_codes(target) = Glossema::Content.parse(target, source_content)

  # Identical segments nobody has worked on take the same target, as drafts to be confirmed in passing.
  def fill_repeats(by)
    repeats = project.segments.where(source_key: source_key, source: source).where.not(id: id).select do |segment|
      segment.state == "untouched" || (segment.state == "draft" && segment.origin["kind"] == "repeated" && segment.target != target)
    end
    repeats.each do |segment|
      segment.update!(target: target, state: "draft", origin: { "kind" => "repeated", "from" => id }, version: segment.version + 1)
      segment.send(:record, by)
    end
  end

  # A version for each state; drafts typed in one go are one version.
  def record(by)
    last = versions.last
    same_go = last && last.state == "draft" && state == "draft" && last.user_id == by&.id && last.origin["kind"] == origin["kind"] && last.updated_at > DRAFT_WINDOW.ago
    return last.update!(target: target, origin: origin) if same_go

    versions.create!(user: by, target: target, state: state, origin: origin)
  end
end
