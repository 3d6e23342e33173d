# Other segmentation rules for a project: all of its files are segmented anew. before: "rules".
class Operations::RulesChange < Operation
  include Operation::Resegments

  self.superseding = true

  def perform = resegment(subject.documents.select(&:ready?))

  def revert
    subject.update!(rules: before["rules"])
    perform
  end

  # The rules were kept before it began.
  def discard
    subject.update!(rules: before["rules"])
    super
  end
end
