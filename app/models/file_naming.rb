# What delivered files are called, by a pattern of {name} {source} {target} {reference}; without one: the name
# with the target language behind it.
class FileNaming
  PARTS = /\{(?:name|source|target|reference)\}/
  NOT_IN_NAMES = %r{\{[^\}]*\}?|[/\\:*?"<>|\}]}
  DEFAULT = "{name}_{target}".freeze

  # Raises Refused "pattern-wrong" when the name of the file is not in it, or a part that is none.
  def self.check(text)
    raise Glossema::Refused.new("pattern-wrong.name", pattern: text) unless text.include?("{name}")

    unknown = text.gsub(PARTS, "")[NOT_IN_NAMES]
    raise Glossema::Refused.new("pattern-wrong.part", part: unknown) if unknown
  end

  def initialize(project)
    @project = project
  end

  # base: the name without its ending.
  def name(base)
    parts = {
      "{name}" => base,
      "{source}" => @project.source_lang,
      "{target}" => @project.target_lang,
      "{reference}" => @project.reference.to_s.tr("/\\", "-")
    }
    (@project.file_pattern.presence || DEFAULT).gsub(PARTS, parts)
  end
end
