# The segments of a project that fit conditions which only the server can tell: a regular expression, who
# wrote in them, since when they were changed.
class Project::SegmentFilter
  SINCE = { "hour" => 1.hour, "day" => 1.day, "week" => 7.days }.freeze
  SIDES = %w[either source target].freeze

  # expression: a regular expression or nil; side: where it must be found; cased: as written; by: the name of
  # who wrote one of the versions, or nil; since: of SINCE, or nil; termed: does a term of
  # the termbases stand in the source? Raises Refused "find-pattern.…".
  def initialize(project, expression: nil, side: "either", cased: false, by: nil, since: nil, termed: false)
    @project, @side, @by, @since, @termed = project, side, by, SINCE[since], termed
    @pattern = expression && Glossema::Replacing.new(find: expression, regex: true, cased: cased)
  end

  # Their numbers in the database.
  def ids
    found = @project.segments
    found = found.where(id: touched.select(:segment_id)) if @by || @since
    return found.pluck(:id) unless @pattern || @termed

    found.select { |segment| (!@pattern || fits?(segment)) && (!@termed || term?(segment)) }.map(&:id)
  end

  # Who wrote in the project, by name.
  def self.authors(project)
    User.where(id: Version.where(segment_id: project.segments.select(:id)).select(:user_id)).order(:name)
      .pluck(:name)
  end

  private

  def touched
    found = Version.where(segment_id: @project.segments.select(:id))
    found = found.where(user_id: User.where(name: @by).select(:id)) if @by
    @since ? found.where(updated_at: @since.ago..) : found
  end

  def term?(segment)
    finders.any? { |finder| finder.find(segment.source_content.text).any? }
  end

  def finders = @finders ||= @project.term_finders(@project.source_lang)

  def fits?(segment)
    (@side != "target" && @pattern.found?(segment.source_content)) ||
      (@side != "source" && @pattern.found?(segment.target_content))
  end
end
