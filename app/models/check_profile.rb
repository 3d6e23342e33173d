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

  # What would change: {checks: [[code, its setting now, its setting then] …], added:, removed:, changed:
  # names of own checks}. Raises as `keep`, and "profile-broken.nothing" for what holds no checks.
  def preview(given)
    Glossema::Checks::Profile.new(given)
    raise Glossema::Refused.new("profile-broken.nothing") if given.slice("checks",
      "own").values.all?(&:blank?)

    now, own = [self.given, given].map { |one| one.fetch("checks", {}) }, own_by_name(given)
    codes = (now[0].keys | now[1].keys).reject { |code| now[0][code] == now[1][code] }
    { checks: codes.map { |code| [code, now[0].fetch(code, {}), now[1].fetch(code, {})] }, **own }
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

  def own_by_name(given)
    before, after = [self.given, given].map { |one| one.fetch("own", []).index_by { |rule| rule["name"] } }
    { added: after.keys - before.keys, removed: before.keys - after.keys,
      changed: (before.keys & after.keys).reject { |name| before[name] == after[name] } }
  end

  def project? = @owner.is_a?(Project)
end
