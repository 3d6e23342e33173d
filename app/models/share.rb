# A memory or termbase given to a colleague by mail address: to see it, to add to it, to change what is there,
# or to delete many at once as well; more than seeing it can end with a day. It counts once it is accepted,
# and is gone at once when it is taken back.
class Share < ApplicationRecord
  include Expiry

  # Each with all those before it.
  RIGHTS = %w[view add edit manage].freeze
  STATES = %w[offered accepted declined].freeze
  INVITED_FOR = 14.days

  belongs_to :item, polymorphic: true
  belongs_to :owner, class_name: "User"
  belongs_to :user, optional: true
  validates :may, inclusion: { in: RIGHTS }
  validates :state, inclusion: { in: STATES }
  normalizes :email, with: ->(email) { email.strip.downcase }
  validates :email, format: { with: URI::MailTo::EMAIL_REGEXP, message: :mail }
  before_create { self.token ||= SecureRandom.urlsafe_base64(18) }
  after_commit { Share.announce(item) }

  scope :accepted, -> { where(state: "accepted") }
  scope :adding, lambda {
    accepted.where(may: RIGHTS.drop(1)).where("until_on IS NULL OR until_on >= ?", Date.current)
  }
  # What somebody is offered and has not answered.
  scope :offered_to, ->(user) { where(user: user, state: "offered") }

  class << self
    # Raises Refused "share-self", "share-again", "remote-elsewhere". until_on: the last day of
    # more than seeing it, or nil.
    def give(item, email:, may:, by:, until_on: nil)
      item.here!
      address = normalize_value_for(:email, email)
      raise Glossema::Refused.new("share-self") if address == by.email
      if exists?(item: item, email: address, state: %w[offered accepted])
        raise Glossema::Refused.new("share-again", email: address)
      end

      where(item: item, email: address).destroy_all
      create!(item: item, owner: by, email: address, may: may, until_on: until_on,
        user: User.find_by(email: address))
    end

    # What waited for somebody with this mail address.
    def find_for(user)
      where(email: user.email, user_id: nil, created_at: INVITED_FOR.ago..).find_each do |share|
        share.update!(user: user)
      end
    end

    # Raises Refused "invitation-gone" for one that is unknown, used or expired.
    def invitation(token)
      share = find_by(token: token.to_s, user_id: nil)
      return share if share && share.created_at > INVITED_FOR.ago

      raise Glossema::Refused.new("invitation-gone")
    end

    def enough?(right, needed) = RIGHTS.index(right).to_i >= RIGHTS.index(needed)

    # All projects that use it hear that what it gives is another now.
    def announce(item)
      item&.attached_projects&.find_each { |project| project.announce("learned") }
    end
  end

  # Gone at once, and said in the projects of whom it was given to. by: who takes it back or leaves it.
  def take_back(by:)
    projects = user && user != by ? item.attached_projects.where(user: user).to_a : []
    destroy!
    sentence = I18n.t("shares.taken_back", name: item.name, owner: owner.name)
    projects.each { |project| project.announce("said", message: sentence) }
  end

  # The right that holds today.
  def right = until_on.nil? || until_on >= Date.current ? may : RIGHTS.first
  def expired? = user_id.nil? && created_at <= INVITED_FOR.ago
end
