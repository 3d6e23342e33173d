# What is to go to another server: kept until it is there, tried again when the network is back, and there
# once however often it was sent.
class OutgoingRequest < ApplicationRecord
  # Seconds until it is tried again, after each try; then the last one again and again.
  WAITS = [5, 15, 30, 60, 120, 300].freeze
  # One whose process ended in the middle is free again after so long.
  STUCK = 5.minutes

  belongs_to :about, polymorphic: true
  belongs_to :user
  scope :waiting, -> { where(state: "waiting") }
  scope :due, -> { waiting.where(due_at: ..Time.current) }
  scope :refused, -> { where(state: "refused") }

  class << self
    def queue(about, body, user:)
      sending = create!(about: about, body: body, user: user, uid: SecureRandom.uuid, due_at: Time.current)
      SendOutJob.perform_later
      sending
    end

    # All that is due, one after the other.
    def go
      where(state: "going", updated_at: ...STUCK.ago).update_all(state: "waiting")
      due.order(:id).each(&:go)
    end
  end

  # Nobody else sends it meanwhile.
  def go
    return unless OutgoingRequest.waiting.where(id: id).update_all(state: "going",
      updated_at: Time.current) == 1

    reload
    I18n.with_locale(user.language) { about.send_out(self) }
    destroy!
  rescue Glossema::Refused => e
    put_off(e)
  end

  # What was refused is tried once more.
  def again
    update!(state: "waiting", due_at: Time.current)
    SendOutJob.perform_later
  end

  private

  # What a server refuses is told, and not sent again by itself.
  def put_off(error)
    passing = %w[remote-failed remote-resting remote-garbled].include?(error.code) ||
      error.key == "remote-refused.limit"
    update!(state: passing ? "waiting" : "refused", tries: tries + 1, trouble: error.message,
      due_at: WAITS.fetch(tries, WAITS.last).seconds.from_now)
  end
end
