# A delivery: the finished files as they went out, each with its proof.
class Delivery < ApplicationRecord
  belongs_to :project
  belongs_to :user
  has_many :files, class_name: "DeliveredFile", dependent: :destroy, inverse_of: :delivery

  # Writes, proves and records all files of a project. Raises Glossema::Refused when nothing can be written.
  def self.make(project, by:)
    if project.documents.none?(&:ready?)
      raise Glossema::Refused.new("nothing-ready")
    end

    transaction do
      delivery =
        create!(
          project: project,
          user: by,
          number: project.deliveries.maximum(:number).to_i + 1,
          unfinished: Project::Readiness.new(project).summary,
          checks: checked(project)
        )
      taken = Set.new
      project.documents.select(&:ready?).each { |document| DeliveredFile.write(delivery, document, taken) }
      delivery.update!(learned: delivery.teach)
      delivery
    end
  end

  # What the checks said, and whether they had looked at all of it.
  def self.checked(project)
    left = Project::Looking.new(project).look_at_few
    { **Project::Checking.new(project).summary, "left" => left, "profile" => CheckProfile.new(project).from }
  end
  private_class_method :checked

  # Since when there is something new to learn: what an earlier delivery taught is known.
  def changed_since = project.deliveries.where(number: ...number).maximum(:created_at) || Time.zone.at(0)

  # Memories that learn on delivery take in what is confirmed and new. Returns how many segments they took.
  def teach
    attachments = project.attachments.learning("deliver").includes(:memory).to_a
    return 0 if attachments.empty?

    taken =
      project
        .segments
        .where(state: %w[translated reviewed final], updated_at: changed_since..)
        .includes(:document)
        .find_each
        .count { |segment| attachments.each { |attachment| attachment.memory.learn(segment, by: user) } }
    attachments.each { |attachment| CompactMemoryJob.perform_later(attachment.memory) }
    taken
  end
end
