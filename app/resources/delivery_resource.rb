# A delivery with its files and their proofs.
class DeliveryResource < ApplicationResource
  typelize unfinished: "Record<string, Unfinished>", author: "string", files: "DeliveredFile[]",
    checks: "Checked | null"

  attributes :id, :number, :unfinished, :checks, :message, :learned, :created_at
  # What the client’s server answered, or why it did not yet.
  typelize receipt: "Receipt | null", outgoing_request: "OutgoingRequest | null"
  attributes :receipt
  attribute(:outgoing_request) { |delivery| delivery.outgoing_request&.slice(:state, :trouble) }
  # Archives of earlier versions do not name it.
  attribute(:author) { |delivery| delivery.author.presence || delivery.user.name }
  attribute(:files) do |delivery|
    delivery.files.map { |file|
      { **file.slice(:id, :name, :checksum, :byte_size, :document_id), proof: file.proof_with_messages }
    }
  end
end
