# The server of a client, which offers projects. It is polled.
class ClientServer < ApplicationRecord
  # So often, at most.
  ASKED = 30.seconds
  # Seconds for an answer.
  PATIENCE = 20

  belongs_to :user
  belongs_to :client
  has_many :projects, class_name: "ServerProject", dependent: :destroy, inverse_of: :server
  encrypts :key
  validates :address, uniqueness: { scope: :user_id, message: :other_server }

  class << self
    # Made once it answers. Raises Refused "remote-…".
    def add(client, address:, key:)
      speaker = ClientServer::Speaker.new(address, key, patience: PATIENCE)
      made = create!(user: client.user, client: client, address: speaker.address, key: key,
        name: speaker.name)
      made.ask
      made
    end

    # Those of somebody that were not asked just now are asked in the background.
    def look_for(user)
      where(user: user).where("asked_at IS NULL OR asked_at < ?", ASKED.ago).find_each do |server|
        server.update!(asked_at: Time.current)
        AskServerJob.perform_later(server)
      end
    end
  end

  # more: as an HttpClient takes it.
  def speaker(**more) = ClientServer::Speaker.new(address, key, patience: PATIENCE, **more)

  # Takes in what it offers and what it took back. Why it did not answer is kept.
  def ask
    offers = speaker.offers
    transaction do
      offers.each { |offer| projects.find_or_initialize_by(ref: offer.id).take_in(offer) }
      projects.where.not(ref: offers.map(&:id)).find_each(&:gone)
      update!(asked_at: Time.current, trouble: nil)
    end
  rescue Glossema::Refused => e
    update!(asked_at: Time.current, trouble: e.message)
  end
end
