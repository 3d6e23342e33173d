# A delivery: the finished files as they went out, each with its proof. It is made by Operations::Delivery.
class Delivery < ApplicationRecord
  belongs_to :project
  belongs_to :user
  has_many :files, class_name: "DeliveredFile", dependent: :destroy, inverse_of: :delivery
  # {segment id => target} of all that went out.
  has_one_attached :texts
  # On its way to the server of the client.
  has_one :outgoing_request, as: :about, dependent: :destroy, inverse_of: :about

  # Begins a delivery of all files of a project, or of those named (ids). message: to the client. Returns the
  # operation. Raises Glossema::Refused when nothing can be written.
  def self.start(project, by:, document_ids: nil, message: "")
    documents = project.documents.select(&:ready?)
    documents = documents.select { |one| document_ids.include?(one.id) } if document_ids
    raise Glossema::Refused.new("nothing-ready") if documents.empty?

    Operations::Delivery.start(project, by: by, total: documents.size,
      input: { "document_ids" => documents.map(&:id), "message" => message })
  end

  # Sends it to the server of the client, once. Raises Refused "remote-…", "server-withdrawn".
  def send_out(sending)
    update!(receipt: project.server_project.deliver(self, sending.uid))
    project.announce("delivered")
  end

  # Segments that are confirmed and were not known from an earlier delivery of their file, in text order: what
  # the memories that learn on delivery have yet to learn.
  def unlearned
    files.flat_map do |file|
      since = earlier(file.document).maximum(:created_at) || Time.zone.at(0)
      file.document.segments.where(state: %w[translated reviewed final], updated_at: since..).ids
    end
  end

  private

  def earlier(document)
    DeliveredFile.where(document: document, delivery: project.deliveries.where(number: ...number))
  end
end
