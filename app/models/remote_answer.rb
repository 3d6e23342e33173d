# What another server answered about a text, kept so that it is not asked twice.
class RemoteAnswer < ApplicationRecord
  # After so long it is asked anew, and after so long it is thrown away.
  FRESH, KEPT = 12.hours, 30.days

  belongs_to :source, class_name: "RemoteSource", foreign_key: :remote_source_id, inverse_of: :answers
  scope :fresh, -> { where(created_at: FRESH.ago..) }

  # kind: "matches", "terms" or what else is asked; text: in the written form.
  def self.digest(kind, pair, text) = Digest::SHA256.hexdigest([kind, *pair, text].join("\u0000"))

  # {digest => answer} of some digests.
  def self.known(source, digests) = where(source: source, digest: digests).pluck(:digest, :answer).to_h

  def self.keep(source, answers)
    rows = answers.map do |digest, answer|
      { remote_source_id: source.id, digest: digest, answer: answer, created_at: Time.current }
    end
    upsert_all(rows, unique_by: %i[remote_source_id digest]) if rows.any?
    where(created_at: ...KEPT.ago).delete_all
  end
end
