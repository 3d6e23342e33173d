# Writing a translation: drafts, confirming, repeats, and the history of each segment.
module Segment::Translating
  DRAFT_WINDOW = 10.minutes
  # What a proposal or an act gave stays a version of its own when it is changed.
  SAME_GO = %w[kind act touched].freeze

  # Keeps what was typed. Never refused for being late: what it replaces stays in the history.
  # target: written form; origin: {"kind" => "typed" | "memory" | "machine" | "repeated" | "source", …};
  # undone: typing was taken back to what was confirmed; withdrawn: a confirmation was taken back, and with it
  # what the memories learned from it.
  def keep_draft(target, origin:, by:, undone: false, withdrawn: false)
    target = Glossema::Content.holdable(target)
    check_codes(target)
    transaction do
      next back_to_confirmed(by) if undone && confirmed_version&.target == target
      next save! if target == self.target

      assign_attributes(
        target: target,
        origin: origin,
        state: target.empty? ? "untouched" : "draft",
        version: version + 1
      )
      save!
      remember(by)
      learning.each { |memory| memory.unlearn(self, by: by) } if withdrawn
    end
  end

  # Confirms the target, teaches the memories that learn at once, and fills the repeats. Returns {filled:
  # segments that took the target, others: how many identical ones still read as this one did before}.
  def confirm(target, origin:, by:)
    target = confirmable(target)
    transaction do
      before = confirmed_version&.target
      assign_attributes(
        target: target,
        origin: origin,
        state: "translated",
        version: version + 1,
        confirmed_at: Time.current
      )
      save!
      remember(by)
      memories = learning
      teach(memories, by)
      filled = exempt ? [] : fill_repeats(by, memories)
      {
        filled: filled,
        others:
          (
            if before.nil? || before == target || exempt
              0
            else
              twins.where(target: before).where.not(state: Segment::UNFINISHED).count
            end
          )
      }
    end
  end

  # A reviser's wording, taken over: reviewed, and in the history under the reviser's name. Raises Refused
  # "target-empty".
  def take_review(target, change, by:)
    target = confirmable(target)
    transaction do
      update!(target: target, state: "reviewed", version: version + 1, confirmed_at: Time.current,
        origin: { "kind" => "review", "author" => change.author, "act" => change.review_round.tag })
      remember(by)
      teach(learning, by)
    end
  end

  # Another wording by an act, which stays in its state: what was confirmed is confirmed, what was not is not;
  # what is empty now is neither. act: the tag that it is taken back by; draft: it is to be confirmed again.
  def rewrite(target, act:, by:, draft: false)
    from = { **origin.except("act"), "touched" => true, "act" => act }
    return keep_draft(target, origin: from, by: by) if draft || unfinished? || Segment.empty?(target)

    confirm(target, origin: from, by: by)
  end

  # The identical segments that still read as this one did before take its target. Returns them.
  def lead(by:)
    before =
      versions.where(state: Segment::STATES - Segment::UNFINISHED).where.not(target: target).last&.target or
      return []
    act, memories = SecureRandom.hex(6), learning
    transaction do
      twins
        .where(target: before)
        .where.not(state: Segment::UNFINISHED)
        .to_a
        .each do |twin|
          twin.follow(self, act, by, "translated")
          twin.teach(memories, by)
        end
    end
  end

  # As it was before an act that filled it.
  def back_before(act, memories, by)
    before = versions.take_while { |version| version.origin["act"] != act }.last
    update!(
      target: before ? before.target : "",
      state: before ? before.state : "untouched",
      origin: before ? before.origin : {},
      version: version + 1
    )
    remember(by)
    teach(memories, by) unless unfinished?
  end

  # What segments took from this one the last time is taken back, as one step. Returns them.
  def unlead(by:)
    act = twins.filter_map { |twin| twin.origin["act"] if twin.origin["from"] == id }.last or return []
    memories = learning
    transaction do
      twins
        .to_a
        .select { |twin| twin.origin["act"] == act }
        .each { |twin| twin.back_before(act, memories, by) }
    end
  end

  # A version for each state; drafts typed in one go are one version, and what an act wrote is one of its own.
  def remember(by)
    last = versions.last
    same_go =
      last && last.state == "draft" && state == "draft" && last.user_id == by&.id &&
      SAME_GO.all? { |name| last.origin[name] == origin[name] } &&
      last.updated_at > DRAFT_WINDOW.ago
    return last.update!(target: target, origin: origin) if same_go

    versions.create!(user: by, target: target, state: state, origin: origin)
  end

  # Takes the target of a segment with the same source.
  def follow(leader, act, by, state)
    update!(
      target: leader.target,
      state: state,
      origin: {
        "kind" => "repeated",
        "from" => leader.id,
        "act" => act
      },
      version: version + 1
    )
    remember(by)
  end

  def teach(memories, by)
    memories.each { |memory| memory.learn(self, by: by) }
    teach_sentence(memories, by) if memories.any?
    memories.each { |memory| memory.tell_others(project) }
  end

  # The memories that learn on confirmation.
  def learning = project.attachments.learning("confirm").includes(:memory).map(&:memory)

  # The other segments of the project with this source, but for those that are to differ.
  def twins = project.segments.where(source_key: source_key, source: source, exempt: false).where.not(id: id)

  private

  def confirmed_version = versions.where(state: Segment::STATES - Segment::UNFINISHED).last

  # A sentence over several cues is learned whole, too, once all of it is confirmed.
  def teach_sentence(memories, by)
    sentence = Segment::Sentence.around(self)
    memories.each { |memory| memory.learn_sentence(sentence, by: by) } if sentence&.done?
  end

  # As it was confirmed, with the state it had.
  def back_to_confirmed(by)
    before = confirmed_version
    update!(target: before.target, origin: before.origin, state: before.state, version: version + 1)
    remember(by)
  end

  # A target as it can be confirmed. Raises Refused "target-empty", and what damaged codes are refused for.
  def confirmable(target)
    target = Glossema::Content.holdable(target)
    check_codes(target)
    raise Glossema::Refused.new("target-empty") if Segment.empty?(target)

    target
  end

  # Raises Refused where codes of the target are not those of the source.
  def check_codes(target) = Glossema::Content.parse(target, source_content)

  # Identical segments without a translation take the same target: as drafts to be confirmed, or confirmed if
  # the user prefers that.
  def fill_repeats(by, memories)
    state = by&.preferences.to_h["confirm_repeats"] ? "translated" : "draft"
    act = SecureRandom.hex(6)
    repeats =
      twins.select do |twin|
        twin.state == "untouched" ||
          (twin.state == "draft" && twin.origin["kind"] == "repeated" && twin.target != target)
      end
    repeats.each do |twin|
      twin.follow(self, act, by, state)
      twin.teach(memories, by) if state == "translated"
    end
  end
end
