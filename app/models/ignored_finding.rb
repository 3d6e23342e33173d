# A finding that is right as it is: in one segment as it reads now, or all like it in the project or for the
# client.
class IgnoredFinding < ApplicationRecord
  WHERE = %w[here project client].freeze

  belongs_to :project, optional: true
  belongs_to :client, optional: true
  belongs_to :segment, optional: true
  belongs_to :user, optional: true

  # What holds in a project: its own, and its client's.
  scope :in_project, ->(project) {
    own = where(project_id: project.id)
    project.client_id ? own.or(where(client_id: project.client_id)) : own
  }

  # row: of Project::Checking#findings; place: of WHERE; Raises Refused "no-client".
  def self.let(project, row, place:, reason:, by:)
    raise Glossema::Refused.new("no-client") if place == "client" && project.client.nil?

    owner = place == "client" ? { client: project.client } : { project: project }
    digest = place == "here" ? row[:key] : row[:all_key]
    create_or_find_by!(**owner, digest: digest) do |stand|
      stand.assign_attributes(segment: place == "here" ? row[:segment] : nil, user: by, author: by.name,
        code: row["code"], message: row["message"], said: JSON.generate(said(row)), reason: reason)
    end
  end

  # By what a finding of a segment is told again: another wording of source or target is another one. said: of
  # `IgnoredFinding.said`.
  def self.digest_of(segment, said) = digest(segment.id, segment.source, segment.target, *said)

  # By what all like it are told: the same check says the same of them.
  def self.digest_of_all(said) = digest(*said)

  # What a finding says, whatever the language it is told in.
  def self.said(finding)
    key, details, code = finding.values_at("key", "details", "code")
    key ? [code, key, JSON.generate(details)] : sentence(finding)
  end

  # The same as it was kept by versions that went by the sentence.
  def self.sentence(finding) = finding.values_at("code", "message")

  def self.digest(*parts) = Digest::SHA256.hexdigest(parts.join("\0"))
  private_class_method :digest

  # Tells it anew by the number its segment has now.
  def redigest
    update_columns(digest: self.class.digest_of(segment, said ? JSON.parse(said) : [code, message]))
  end

  def place
    return "client" if client_id

    segment_id ? "here" : "project"
  end
end
