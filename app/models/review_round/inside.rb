# A review inside the application: by the translator or a colleague with an account, who may read, remark, or
# change the text. Segments are read one by one; drafts are stored apart until they are confirmed.
module ReviewRound::Inside
  extend ActiveSupport::Concern

  RIGHTS = %w[read remark change].freeze

  included do
    belongs_to :guest, class_name: "User", optional: true
    has_many :passages, class_name: "ReviewPassage", dependent: :delete_all, inverse_of: :review_round
    has_many :remarks, -> { there }, class_name: "Note", dependent: nil, inverse_of: :review_round
    validates :may, inclusion: { in: RIGHTS }

    # Those that a user may open: of own projects, and those with a review request.
    scope :open_to, lambda { |user|
      ours = where(project: user.projects)
      ours.or(where(guest: user, project: Project.where(deleted_at: nil)))
    }
  end

  class_methods do
    # email: of the colleague's account, or blank for a pass of one's own. Raises Refused "guest-unknown",
    # "sheet-empty".
    def begin_inside(project, by:, email: "", may: "change", options: {}, ids: nil)
      guest = guest_of(email, by)
      transaction do
        round = project.review_rounds.create!(user: by, reviser: (guest || by).name, guest: guest,
          way: "inside", may: guest ? may : "change", options: options, token: SecureRandom.hex(8),
          number: project.review_rounds.maximum(:number).to_i + 1)
        round.update!(base: ReviewRound::Sheet.new(round, ids).base)
        round
      end
    end

    private

    def guest_of(email, by)
      return if email.blank? || User.normalize_value_for(:email, email) == by.email

      User.find_by(email: email) || raise(Glossema::Refused.new("guest-unknown", email: email.strip))
    end
  end

  def inside? = way == "inside"
  def guest_of?(user) = guest_id == user.id && project.user_id != user.id

  # What somebody may do in it: of RIGHTS.
  def right_of(user)
    return "read" if state == "closed"

    guest_of?(user) ? may : "change"
  end

  # Raises Refused "round-closed" or "right-missing" where the user may not do this.
  def check_right(user, wanted)
    raise Glossema::Refused.new("round-closed") if state == "closed"
    return if RIGHTS.index(right_of(user)) >= RIGHTS.index(wanted)

    raise Glossema::Refused.new("right-missing", right: I18n.t("review.rights.#{may}"))
  end

  # may: the right of the colleague from now on, which an open page shows at once; nil: no access any more.
  def invite(may)
    # Who is no longer to see it hears nothing more of it.
    left = may ? nil : guest
    update!(may ? { may: may } : { guest: nil })
    left&.sign_ins&.each(&:cut_off)
    announce
    announce
  end

  # What is being written in a segment, kept at once; nil drops it.
  def keep_draft(segment, text)
    Glossema::Content.parse(text, segment.source_content) if text
    passage_of(segment).update!(draft: text && Glossema::Content.holdable(text))
  end

  # Confirms the text of a segment as read: applied at once, or to be decided by the owner. Raises Refused
  # where codes are damaged.
  def read(segment, text, by:)
    text = Glossema::Content.holdable(text)
    Glossema::Content.parse(text, segment.source_content)
    raise Glossema::Refused.new("target-empty") if text.strip.empty?

    transaction do
      text == segment.target ? settle(segment, by) : correct(segment, text, by)
      passage_of(segment).update!(draft: nil, target: segment.target, read_at: Time.current)
    end
  end

  # It is to be read again; what was changed stays changed.
  def unread(segment, by:)
    transaction do
      passage_of(segment).update!(read_at: nil)
      next unless segment.state == "reviewed" && segment.origin["act"] != tag

      segment.update!(state: "translated", version: segment.version + 1)
      segment.remember(by)
    end
  end

  # Those who have it open hear that something is otherwise.
  def announce(**details) = ReviewChannel.broadcast_to(self, { event: "changed", **details })

  # On a segment: what was said to the change in it.
  def remarks_on(segment_id)
    @remarks_by_segment ||= remarks.order(:id).group_by(&:segment_id)
    @remarks_by_segment.fetch(segment_id, [])
  end

  # Words of the source that were read.
  def words_read = Segment.where(id: passages.read.select(:segment_id)).sum(:words)

  def passage_of(segment) = passages.find_or_initialize_by(segment: segment)

  # Applies a correction at once with the right to change, else records a change to be decided. An unchanged
  # text is no change.
  def correct(segment, text, by)
    sent, taken = base.fetch(segment.id.to_s), right_of(by) == "change"
    change = corrections.find_or_initialize_by(segment: segment)
    change.fill(sent == text ? segment.target : sent, text, author: by.name,
      decision: taken ? "taken" : "open")
    segment.take_review(text, change, by: by) if taken
    return change.save! unless taken && text == sent

    change.destroy! if change.persisted?
  end

  # Found correct: reviewed at once where the reviser may change, else when the round is closed. An open
  # suggestion of the reviser is withdrawn.
  def settle(segment, by)
    corrections.find_by(segment: segment, decision: "open")&.destroy!
    return unless right_of(by) == "change" && segment.state == "translated"

    segment.update!(state: "reviewed", version: segment.version + 1)
    segment.remember(by)
  end
end
