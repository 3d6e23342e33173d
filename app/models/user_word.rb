# A word added to the spelling of a language: for all work of the user, or for one client or project.
class UserWord < ApplicationRecord
  belongs_to :user
  belongs_to :client, optional: true
  belongs_to :project, optional: true
  validates :word, presence: true, length: { maximum: 100 }

  # Those that hold in a project.
  scope :in_project, lambda { |project|
    where(user_id: project.user_id, lang: Glossema::Languages.primary(project.target_lang))
      .where(project_id: [nil, project.id], client_id: [nil, project.client_id])
  }
end
