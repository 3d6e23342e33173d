# Where a memory or termbase on another server is: its address, the key, and what the server said of it. It is
# written to only where the user allows it.
class RemoteSource < ApplicationRecord
  # The default penalty of its matches.
  PENALTY = 2
  # Time limits in seconds, while the user types and otherwise.
  WHILE_TYPING, OTHERWISE = 6, 20

  belongs_to :item, polymorphic: true
  belongs_to :user
  has_many :answers, class_name: "RemoteAnswer", dependent: :delete_all, inverse_of: :source
  has_many :outgoing_requests, as: :about, dependent: :delete_all, inverse_of: :about
  encrypts :key

  after_save { answers.delete_all if saved_change_to_address? || saved_change_to_ref? }

  class << self
    # Connects a memory or termbase on another server. kind: "memory" or "termbase"; ref: its id there; pair:
    # of a memory. Raises Refused "remote-…" where it is not available.
    def attach(kind, by:, address:, key:, ref:, name:, pair: nil, writes: false)
      speaker = RemoteSource::Speaker.new(address, key)
      described = speaker.describe
      found = described.items.find { |one| [one.kind, one.id] == [kind, ref] }
      raise Glossema::Refused.new("remote-refused.gone", host: speaker.host) unless found

      name = name.presence || by.free_name(kind, found.name)
      transaction do
        item = if kind == "memory"
          memory(by, name, pair || found.languages, found)
        else
          by.termbases.create!(name: name)
        end
        create!(item: item, user: by, address: speaker.address, key: key, ref: ref).tap do |source|
          source.know(described, found)
          source.update!(writes: writes && found.writes?)
        end
      end
    end

    private

    # In the languages of the project it is for, where the server holds them in any region.
    def memory(user, name, pair, found)
      raise Glossema::Refused.new("remote-pair", **said(found, pair)) unless found.holds?(*pair)

      user.memories.create!(name: name, source_lang: found.languages[0], target_lang: found.languages[1])
    end

    def said(found, pair) = { name: found.name, pair: pair.join(" → "), held: found.languages.join(" → ") }
  end

  # more: as an HttpClient takes it.
  def speaker(**more) = RemoteSource::Speaker.new(address, key, patience: OTHERWISE, **more)

  # Asks the server what it is and keeps what it says. Raises Refused "remote-…".
  def test
    described = speaker.describe
    found = described.items.find { |one| [one.kind, one.id] == [kind, ref] }
    raise Glossema::Refused.new("remote-refused.gone", host: speaker.host) unless found

    know(described, found)
  end

  def know(described, found)
    described_item = found.to_h.slice(:name, :languages, :size, :may).transform_keys(&:to_s)
    update!(tested_at: Time.current, facts: { "server" => described.name, **described_item })
  end

  def kind = item_type.underscore
  def host = URI.parse(address).host
  def may_write? = facts["may"] == "write"

  # What a confirmed segment says goes there as soon as it can.
  def learn(segment, by:)
    return unless writes && may_write?

    unit = RemoteSource.unit(segment, by)
    waiting = outgoing_requests.waiting.where("json_extract(body, '$.id') = ?", unit["id"]).first
    forget(segment.source)
    return waiting.update!(body: unit) if waiting

    OutgoingRequest.queue(self, unit, user: by)
  end

  # Sends a unit or an entry that waits to go. Raises Refused "remote-…".
  def send_out(sending)
    entry, to = sending.body["entry"], speaker(insist: true)
    return to.learn(ref, [sending.body]) && forget(sending.body["source"]) unless entry

    to.learn_entries(ref, [entry])
    answers.delete_all
    item.announce_change
  end

  # Answers about a text are of no use any more.
  def forget(written)
    answers.where(digest: RemoteAnswer.digest("matches", item_pair, written)).delete_all
  end

  def item_pair = [item.source_lang, item.target_lang]

  # A segment as a unit of the protocol. Its id is the same each time, and says nothing to anybody.
  def self.unit(segment, by)
    project = segment.project
    beside = [segment.neighbour(-1), segment.neighbour(1)].map do |one|
      Glossema::Remote.mark(TranslationUnit.hash_of_key(one&.source_key))
    end
    name = segment.origin["author"] || by.name
    Glossema::Remote::Unit.new(
      id: Digest::SHA256.hexdigest("#{Rails.application.secret_key_base} segment #{segment.id}")[0, 24],
      source: segment.source, target: segment.target, author: name, client: project.client&.name,
      changed_at: Time.current.utc.iso8601, subject: project.subject, project: project.reference,
      file: segment.document.name, key: segment.context, previous: beside[0], next: beside[1],
      origin: segment.origin["kind"] == "machine" ? "machine" : "typed"
    ).to_h
  end
end
