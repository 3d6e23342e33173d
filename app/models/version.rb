# One version of a segment's translation, with its origin and author.
class Version < ApplicationRecord
  belongs_to :segment
  belongs_to :user, optional: true

  # Of what was written; codes the source lost since are left out.
  def content = Glossema::Content.from_written(target)
end
