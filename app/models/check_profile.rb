# Which checks run and how severe they are: a project's own profile, that of its client, or as Glossema comes.
class CheckProfile
  # owner: Project or Client.
  def initialize(owner)
    @owner = owner
  end

  # "project", "client" or "default": whose is in force.
  def from
    return "project" if project? && @owner.check_profile
    return "client" if client&.check_profile

    "default"
  end

  # As Glossema::Checks::Profile takes it, without lists.
  def given = (project? && @owner.check_profile) || client&.check_profile || {}

  # given: as Glossema::Checks::Profile takes it. Raises Refused "profile-broken", "own-broken", where nothing
  # is changed.
  def keep(given)
    Glossema::Checks::Profile.new(given)
    @owner.update!(check_profile: given.slice("checks", "own"))
  end

  def drop = @owner.update!(check_profile: nil)

  # What the project keeps is kept for its client, and the project has the client's from now on.
  def keep_for_client
    Client.transaction do
      client.update!(check_profile: given)
      drop
    end
  end

  def client = project? ? @owner.client : @owner

  private

  def project? = @owner.is_a?(Project)
end
