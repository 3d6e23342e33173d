# The terms by which matches are adapted: those of the termbases as they stand there, else the short units of
# the memories.
class Project::KnownTerms
  def initialize(project, memories)
    @project, @memories = project, Memory::KnownTerms.new(memories)
  end

  # texts: of the source → {text => [its translations, the likeliest first]}.
  def translations(texts)
    from_memories = @memories.translations(texts)
    texts.to_h { |text| [text, (of_termbases(text) + from_memories.fetch(text, [])).uniq] }
  end

  private

  # Only of the very term: another form of it has another form of the translation.
  def of_termbases(text)
    finders.flat_map do |finder|
      finder.find(text).select { |one| whole?(one, text) }.flat_map do |one|
        one.entry.in(@project.target_lang).flat_map(&:terms).select(&:usable?).sort_by(&:rank).map(&:written)
      end
    end
  end

  def whole?(found, text)
    found.from.zero? && found.to == text.length && found.term.written.casecmp?(text)
  end

  def finders = @finders ||= @project.term_finders(@project.source_lang)
end
