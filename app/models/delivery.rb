# A delivery: the finished files as they went out, each with its proof.
class Delivery < ApplicationRecord
  belongs_to :project
  belongs_to :user
  has_many :files, class_name: "DeliveredFile", dependent: :destroy, inverse_of: :delivery
  # {segment id => target} of all that went out.
  has_one_attached :texts
  # On its way to the server of the client.
  has_one :sending, as: :about, dependent: :destroy, inverse_of: :about

  # Writes, proves and records the files of a project: all, or those named (ids). message: to the client.
  # Raises Glossema::Refused when nothing can be written.
  def self.make(project, by:, document_ids: nil, message: "")
    documents = project.documents.select(&:ready?)
    documents = documents.select { |one| document_ids.include?(one.id) } if document_ids
    raise Glossema::Refused.new("nothing-ready") if documents.empty?

    delivery = transaction do
      delivery = create!(project: project, user: by, message: message, checks: checked(project),
        number: project.deliveries.maximum(:number).to_i + 1,
        unfinished: Project::Readiness.new(project).summary)
      delivery.write(documents)
      delivery.update!(learned: delivery.teach)
      delivery
    end
    Sending.queue(delivery, {}, user: by) if project.server_project&.open?
    delivery
  end

  # Sends it to the server of the client, once. Raises Refused "remote-…", "server-withdrawn".
  def send_out(sending)
    update!(receipt: project.server_project.deliver(self, sending.uid))
    project.announce("delivered")
  end

  def write(documents)
    taken = Set.new
    documents.each { |document| DeliveredFile.write(self, document, taken) }
    went = project.segments.where(document_id: documents.map(&:id)).pluck(:id, :target).to_h
    texts.attach(io: StringIO.new(JSON.generate(went)), filename: "texts.json", identify: false)
  end

  # What the checks said, and whether they had looked at all of it.
  def self.checked(project)
    left = Project::Looking.new(project).look_at_few
    { **Project::Checking.new(project).summary, "left" => left, "profile" => CheckProfile.new(project).from }
  end
  private_class_method :checked

  # Memories that learn on delivery take in what is confirmed and new. Returns how many segments they took.
  def teach
    attachments = project.attachments.learning("deliver").includes(:memory).to_a
    return 0 if attachments.empty?

    taken = files.sum { |file| taught(file.document, attachments) }
    attachments.each { |attachment| CompactMemoryJob.perform_later(attachment.memory) }
    taken
  end

  private

  # What is confirmed in a document and was not known from an earlier delivery of it. Returns how many
  # segments.
  def taught(document, attachments)
    earlier = DeliveredFile.where(document: document, delivery: project.deliveries.where(number: ...number))
    since = earlier.maximum(:created_at) || Time.zone.at(0)
    document.segments.where(state: %w[translated reviewed final], updated_at: since..).includes(:document)
      .find_each.count { |segment| attachments.each { |one| one.memory.learn(segment, by: user) } }
  end
end
