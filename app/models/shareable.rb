# What memories and termbases have in common: they can be given to colleagues, be reached by keys from other
# servers, or be on one themselves.
module Shareable
  extend ActiveSupport::Concern

  included do
    has_many :shares, as: :item, dependent: :destroy, inverse_of: :item
    has_many :keys, class_name: "RemoteKey", as: :item, dependent: :destroy, inverse_of: :item
    has_one :remote, class_name: "RemoteSource", as: :item, dependent: :destroy, inverse_of: :item
  end

  # Raises Refused "remote-elsewhere" for one that is on another server.
  def here!
    return self unless remote

    raise Glossema::Refused.new("remote-elsewhere", name: name, host: remote.host)
  end

  def shared? = shares.accepted.exists?

  # Projects of anybody in which it is attached.
  def attached_projects = Project.where(id: attachments.select(:project_id))

  # In other projects that use it, proposals are asked for anew.
  def tell_others(project)
    attached_projects.where.not(id: project.id).find_each { |other| other.announce("learned") } if shared?
  end
end
