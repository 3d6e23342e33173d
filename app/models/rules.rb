# The segmentation rules of a project: its own, else the user's for all projects, else the default ones.
class Rules
  SAMPLE = 4000

  # owner: a Project, a Client or a User.
  def initialize(owner)
    @owner = owner
  end

  def srx
    xml = @owner.rules || (@owner.is_a?(User) ? nil : @owner.user.rules)
    xml ? self.class.parsed(xml) : Glossema::Segmentation::Srx.default
  end

  # Where they come from: "project", "client", "mine" or "default".
  def from
    return @owner.class.name.downcase if !@owner.is_a?(User) && @owner.rules

    user = @owner.is_a?(User) ? @owner : @owner.user
    user.rules ? "mine" : "default"
  end

  def keep(srx) = @owner.update!(rules: srx.xml)
  def drop = @owner.update!(rules: nil)

  # An excerpt of the text for testing rules, one paragraph per line.
  def sample
    project =
      (
        if @owner.is_a?(Project)
          @owner
        else
          @owner.projects.order(opened_at: :desc).find { |one| one.segments.exists? }
        end
      )
    return "" unless project

    rows = project.segments.joins(:document).order("documents.position", :position).limit(200).to_a
    rows
      .chunk_while { |one, other| one.document_id == other.document_id && one.unit_id == other.unit_id }
      .map { |group| group.map { |row| row.source_content.text.tr("\n", " ") }.join(" ") }
      .select { |line| line.length > 20 }
      .join("\n")[
        0,
        SAMPLE
    ]
  end

  # Parsed once for each text of rules.
  def self.parsed(xml)
    @parsed ||= {}
    @parsed.clear if @parsed.size > 20
    @parsed[xml] ||= Glossema::Segmentation::Srx.new(xml)
  end
end
