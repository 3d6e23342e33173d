# A key by which another server, or any program that speaks the protocol, reaches a memory or termbase. It is
# shown once; only a digest is stored.
class RemoteKey < ApplicationRecord
  include Expiry

  MAY = %w[read write].freeze
  LENGTH, ENDING = 24, 4

  belongs_to :item, polymorphic: true
  belongs_to :user
  validates :name, presence: true
  validates :may, inclusion: { in: MAY }
  validates :per_minute, numericality: { only_integer: true, in: 1..100_000 }

  @spent, @lock = {}, Mutex.new
  class << self
    # Returns the record and the key itself.
    def make(item, by:, **fields)
      secret = SecureRandom.urlsafe_base64(LENGTH)
      kept = { digest: digest(secret), ending: secret.last(ENDING) }
      record = create!(item: item.here!, user: by, **kept, **fields)
      [record, secret]
    end

    # The one of a key as it was sent, if it still opens what it is for.
    def known(secret)
      record = find_by(digest: digest(secret.to_s)) or return
      record if record.item&.deleted_at.nil? && (record.until_on.nil? || record.until_on >= Date.current)
    end

    # May a key ask for so many texts more in this minute?
    def spend(record, count)
      minute = Time.current.to_i / 60
      spent = @lock.synchronize do
        @spent.select! { |(_, at), _| at == minute }
        @spent[[record.digest, minute]] = @spent[[record.digest, minute]].to_i + count
      end
      return false if spent > record.per_minute

      where(id: record.id).update_all(["asked = asked + ?, used_at = ?", count, Time.current])
      true
    end

    private

    def digest(secret) = Digest::SHA256.hexdigest(secret)
  end
end
