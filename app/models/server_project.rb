# A project on a client's server: offered, opened here, delivered there, or taken back.
class ServerProject < ApplicationRecord
  STATES = Glossema::Remote::Offers::STATES
  # When the client's memory takes in what is confirmed.
  LEARNS = { "confirm" => "confirm", "delivery" => "deliver", "never" => "never" }.freeze

  belongs_to :server, class_name: "ClientServer", foreign_key: :client_server_id, inverse_of: :projects
  belongs_to :project, optional: true
  validates :state, inclusion: { in: STATES }
  scope :offered, -> { where(state: "offered", project_id: nil) }

  delegate :user, :client, to: :server

  # offer: a Glossema::Remote::Offer. What was opened here changes only by being taken back.
  def take_in(offer)
    return withdraw(offer.reason) if offer.state == "withdrawn"
    # One that was taken back may be given anew.
    return state == "withdrawn" && update!(state: "accepted", reason: nil) if project_id

    update!(facts: offer.to_h.merge(files: offer.files.map(&:to_h)), state: offer.state)
  end

  # It is not on the server any more.
  def gone = project_id ? withdraw("") : destroy!

  # The files fetched, memory and termbase attached as remote ones, the rest filled in: a brief. Raises
  # Refused.
  def open
    not_opened_yet
    offer = server.speaker.accept(ref)
    files = offer.files.map { |file| [file, server.speaker.file(ref, file)] }
    with_lock do
      not_opened_yet
      take_in(offer)
      update!(project: user.projects.create!(fields(offer)), state: "accepted")
      files.each_with_index { |(file, bytes), index| document(file, bytes, index + 1) }
      attach(offer)
    end
    project.documents.each(&:read_later)
    project
  end

  # Can anything be delivered there?
  def open? = %w[accepted delivered].include?(state)

  # Sends a delivery there. Returns the receipt.
  def deliver(delivery, uid)
    receipt = server.speaker(insist: true).deliver(ref, uid, packed(delivery), delivery.message)
    update!(state: "delivered")
    receipt
  rescue Glossema::Refused => e
    withdraw(e.details[:reason]) if e.code == "server-withdrawn"
    raise
  end

  # What is to be said of it, or nil.
  def said = state == "withdrawn" ? withdrawn_sentence : nil

  private

  def not_opened_yet
    raise Glossema::Refused.new("server-opened", name: project.name) if project
  end

  def withdraw(reason)
    return if state == "withdrawn"

    update!(state: "withdrawn", reason: reason.to_s)
    project&.announce("said", message: withdrawn_sentence)
  end

  def withdrawn_sentence
    I18n.t("servers.withdrawn", server: server.name, reason: reason.presence || I18n.t("servers.no_reason"))
  end

  def fields(offer)
    { client: client, name: offer.name.presence || ref, reference: offer.reference.presence,
      source_lang: offer.source_lang, target_lang: offer.target_lang, due_at: offer.due_at,
      description: offer.instructions }
  end

  def document(file, bytes, position)
    made = project.documents.create!(position: position, name: file.name, byte_size: bytes.bytesize,
      checksum: file.sha256)
    made.original.attach(io: StringIO.new(bytes), filename: file.name, identify: false)
  end

  def attach(offer)
    if offer.memory
      memory = remote("memory", offer.memory)
      learns = memory.may_write? ? LEARNS.fetch(offer.writes) : "never"
      memory.update!(writes: true) unless learns == "never"
      project.attach([{ "memory_id" => memory.item_id, "learns" => learns,
                        "read_only" => learns == "never" }])
    end
    return unless offer.termbase

    termbase = remote("termbase", offer.termbase)
    project.attach_termbases([{ "termbase_id" => termbase.item_id, "adds" => false }])
  end

  # The one there is from an earlier project, or a new one.
  def remote(kind, name)
    address = "#{server.address}/remote"
    known = user.remote_sources.find_by(address: address, ref: name, item_type: kind.camelize)
    return known if known && known.item.deleted_at.nil?

    RemoteSource.attach(kind, by: user, address: address, key: server.key, ref: name,
      name: user.free_name(kind, client.name))
  end

  # By the name of its file each delivered one says which offered one it is of.
  def packed(delivery)
    ids = facts["files"].to_a.to_h { |file| [file["name"], file["id"]] }
    delivery.files.select(&:sound?).map do |file|
      { id: ids[file.document.name], name: file.base_name, sha256: file.checksum,
        content: Base64.strict_encode64(file.content.download) }
    end
  end
end
