# A delivery: the finished files as they went out, each with its proof.
class Delivery < ApplicationRecord
  belongs_to :project
  belongs_to :user
  has_many :files, class_name: "DeliveredFile", dependent: :destroy, inverse_of: :delivery

  # Writes, proves and records all files of a project. Raises Glossema::Refused when nothing can be written.
  def self.make(project, by:)
    if project.documents.none?(&:ready?)
      raise Glossema::Refused.new("nothing-ready", "There is no file to deliver.")
    end

    transaction do
      delivery =
        create!(
          project: project,
          user: by,
          number: project.deliveries.maximum(:number).to_i + 1,
          unfinished: Readiness.new(project).summary
        )
      project.documents.select(&:ready?).each { |document| DeliveredFile.write(delivery, document) }
      delivery.update!(learned: delivery.teach)
      delivery
    end
  end

  # Memories that learn on delivery take in what is confirmed. Returns how many segments they took.
  def teach
    attachments = project.attachments.learning("deliver").includes(:memory).to_a
    return 0 if attachments.empty?

    taken =
      project
        .segments
        .where(state: %w[translated reviewed final])
        .includes(:document)
        .find_each
        .count { |segment| attachments.each { |attachment| attachment.memory.learn(segment, by: user) } }
    attachments.each { |attachment| CompactMemoryJob.perform_later(attachment.memory) }
    taken
  end
end
