# A finding that is right as it is: in one segment as it reads now, or all like it in the project.
class LetStand < ApplicationRecord
  belongs_to :project
  belongs_to :segment, optional: true
  belongs_to :user, optional: true

  # By what a finding of a segment is told again: another wording of source or target is another one.
  def self.digest_of(segment, finding)
    Digest::SHA256.hexdigest([segment.id, segment.source, segment.target, finding["code"],
                              finding["message"]].join("\0"))
  end

  # By what all like it are told: the same check says the same of them.
  def self.digest_of_all(finding) = Digest::SHA256.hexdigest([finding["code"], finding["message"]].join("\0"))
end
