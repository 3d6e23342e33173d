# A translator with an account. All records of a user belong to it.
class User < ApplicationRecord
  include Preferences
  include Working
  include SecondFactor

  has_secure_password
  generates_token_for(:password_reset, expires_in: 20.minutes) { password_salt&.last(10) }
  has_many :clients, dependent: :destroy
  has_many :rate_cards, dependent: :destroy
  has_many :quotes, dependent: :destroy
  has_many :reports, dependent: :destroy
  has_many :projects, -> { where(deleted_at: nil) }, dependent: nil, inverse_of: :user
  has_many :all_projects, class_name: "Project", dependent: :destroy, inverse_of: :user
  has_many :trash_items, dependent: :destroy
  has_many :memories, dependent: nil
  has_many :machine_services, dependent: :destroy
  has_many :termbases, dependent: nil
  has_many :alignments, dependent: :destroy
  has_many :shares, dependent: :destroy
  has_many :given_shares, class_name: "Share", foreign_key: :owner_id, dependent: :destroy, inverse_of: :owner
  has_many :sign_ins, dependent: :destroy
  has_many :client_servers, dependent: :destroy
  has_many :remote_sources, dependent: :destroy
  has_many :remote_keys, dependent: :destroy
  has_many :outgoing_requests, dependent: :delete_all
  has_many :operations, dependent: :nullify
  has_many :user_words, dependent: :destroy
  before_destroy { memories.each(&:purge) }

  # Memories made on the command line before anybody signed up belong to whoever does so first.
  after_create { Memory.where(user_id: nil).update_all(user_id: id) if User.one? }

  after_create { Share.find_for(self) }

  # A name that no memory or termbase of the user has. kind: "memory" or "termbase".
  def free_name(kind, name)
    taken = public_send(kind.pluralize).present.pluck(:name)
    (1..).lazy.map { |number| number == 1 ? name : "#{name} (#{number})" }.find { |one| taken.exclude?(one) }
  end

  # The user's rights to memories and termbases, own and shared ones.
  def access = Access.new(self)

  # Who is signed in, nil where the session was ended.
  def self.of_session(session) = SignIn.with_token(session[:token])&.user

  # All sessions begun so far are over.
  def end_sessions = sign_ins.destroy_all

  # Does the user own the installation?
  def owner?
    owner = Rails.configuration.x.owner
    owner ? email == owner : id == User.minimum(:id)
  end

  normalizes :email, with: ->(email) { email.strip.downcase }
  validates :name, presence: true
  validates :email,
    presence: true,
    uniqueness: {
      message: :has_account
    },
    format: {
      with: URI::MailTo::EMAIL_REGEXP,
      message: :mail
    }
  validates :password, length: { in: 8..72 }, allow_nil: true
  validate :password_is_no_common_one

  private

  # How easily it is guessed, from 0; known words, name and address of the user count as such.
  GUESSED_EASILY = 1
  def password_is_no_common_one
    return if password.nil? || password.length < 8

    known = [*name.to_s.split, *email.to_s.split(/[@.]/), "glossema"]
    return if Zxcvbn.zxcvbn(password, known)["score"] > GUESSED_EASILY

    errors.add(:password, :guessed)
  end
end
