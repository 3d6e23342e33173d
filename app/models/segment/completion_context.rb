# The data for completions in the translation of a segment: learned from the memories and the project, machine
# translation, terms, numbers, names. Inline codes are offered too.
class Segment::CompletionContext
  SOURCES = %w[memories project machine terms carried codes source].freeze

  # without: those of SOURCES that are not drawn from.
  def initialize(segment, without: [])
    @segment, @project, @without = segment, segment.project, without
  end

  # So many matches from so much on are drawn from, each as much as it is like the source.
  MATCHES, FROM = 3, 60
  # What the machine gives counts as much as a unit so like the source.
  MACHINE = 0.8

  # A Glossema::Completion::CompletionContext.
  def value
    terms, carried = terms_and_carried
    alike = matches + given.map { |text| [MACHINE, text] }
    context = HeldModel.reading(held_models) do |models|
      Glossema::Completion::CompletionContext.gather(models, @segment.source_content.text, terms: terms,
        carried: carried,
        matches: alike)
    end
    context.things.reject! { |_, kind, _| kind == "source" } if without?("source")
    context
  end

  # Does it hold what the machine gives? nil where that is not drawn from.
  def machine? = translator && given.any?

  private

  def matches
    return [] if without?("memories")

    query = @segment.query(*[-1, 1].map { |step| @segment.neighbour(step) })
    @project.lookup(terms: true).matches(query, threshold: FROM, limit: MATCHES).map { |match|
      [match.score / 100.0, match.target.text]
    }
  end

  def translator
    @translator ||= Machine::Translator.for(@project) unless without?("machine")
  end

  # Only what it gave before: nothing is asked for completion's sake.
  def given = @given ||= translator ? [translator.given(@segment.source_content)&.text].compact : []

  def without?(source) = @without.include?(source)

  def held_models
    memories = without?("memories") ? [] : @project.attachments.usable.includes(:memory).map(&:memory)
    own = without?("project") ? [] : [Project::Learned.held_model(@project)]
    memories.filter_map { |memory| Memory::Learned.at_hand(memory) } + own
  end

  def terms_and_carried
    found = Segment::Terms.new(@segment).to_h
    usable = found[:terms].flat_map { |term| term[:targets].select { |target| target[:usable] }.pluck(:text) }
    [without?("terms") ? [] : usable.uniq, without?("carried") ? [] : found[:carried].pluck(:target)]
  end
end
