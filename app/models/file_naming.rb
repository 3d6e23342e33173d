# What delivered files are called, by a pattern of PARTS, with folders where it has slashes; without one:
# the name with the target language behind it.
class FileNaming
  PARTS = /\{(?:name|source|target|reference|client|version|date)\}/
  NOT_IN_NAMES = %r{\{[^\}]*\}?|[\\:*?"<>|\}]|\A/|//|/\z|(?:\A|/)\.{1,2}(?=/|\z)}
  DEFAULT = "{name}_{target}".freeze

  # Raises Refused "pattern-wrong" when the name of the file is not in it, or a part that is none.
  def self.check(text)
    unless text.rpartition("/").last.include?("{name}")
      raise Glossema::Refused.new("pattern-wrong.name", pattern: text)
    end

    unknown = text.gsub(PARTS, "x")[NOT_IN_NAMES]
    raise Glossema::Refused.new("pattern-wrong.part", part: unknown) if unknown
  end

  # A path below a folder, wherever its parts came from: none of them leads out of it.
  def self.inside(path)
    parts = path.tr("\\", "/").split("/").reject(&:empty?)
    parts.map { |part| UploadName.clean(part) }.join("/")
  end

  def initialize(project)
    @project = project
  end

  # base: the name without its ending; version: the how manieth time it goes out.
  def name(base, version: 1)
    parts = {
      "{name}" => base, "{source}" => @project.source_lang, "{target}" => @project.target_lang,
      "{reference}" => @project.reference, "{client}" => @project.client&.code, "{version}" => version,
      "{date}" => Time.current.in_time_zone(@project.user&.zone || "UTC").strftime("%Y-%m-%d")
    }
    self.class.inside(pattern.gsub(PARTS) { |part| parts[part].to_s.tr("/\\", "-") })
  end

  private

  # One that came by another way than the page is checked as well.
  def pattern
    given = @project.file_pattern.presence or return DEFAULT
    self.class.check(given)
    given
  rescue Glossema::Refused
    DEFAULT
  end
end
