# A sentence that runs over several cues: matched in the memories as one, divided over them, learned whole.
class Segment::Sentence
  # So many cues on either side are looked at.
  NEAR = 12

  attr_reader :segments

  # Of a cue; nil where its text is a sentence by itself, or none.
  def self.around(segment)
    return unless segment.block == "cue"

    near = segment.position
    shown = segment.document.cues(segment.document.segments.where(position: (near - NEAR)..(near + NEAR)))
    group = segment.document.sentences(shown).find { |one| one.include?(segment) }
    new(group) if group
  end

  # segments: in order.
  def initialize(segments)
    @segments = segments
    @project = segments.first.project
  end

  def source = joined(@segments.map { |one| one.source_content.text })
  def target = joined(@segments.map { |one| one.target_content.text })

  # [source, target] in written form.
  def written = [source, target].map { |text| Glossema::Content.escape(text) }

  # Is all of it confirmed?
  def done? = @segments.none?(&:unfinished?)

  # What it is found by again, in a unit.
  def key = "sentence #{@segments.first.key}–#{@segments.last.key}"

  # Matches of the memories for all of it, as Segment::Proposals shows them, with the numbers of its segments.
  def proposals(floor)
    matches = @project.lookup(terms: true).matches(query, threshold: floor.to_i.clamp(30, 100), limit: 3)
    numbers = @segments.map(&:position)
    matches.map { |match| { **Segment::Proposals.row(match), id: "s#{match.candidate.id}", sentence: numbers } }
  end

  # text: the whole translation → [[Segment, text of its cue], …], by time and sense.
  def divided(text)
    durations = @segments.map { |one| one.cue.duration || 0 }
    parts = Glossema::Timing::Dividing.new(@project.target_lang, @project.cue_limits).divide(text, durations)
    @segments.zip(parts)
  end

  private

  def joined(texts) = texts.join(" ").squish

  def query
    Glossema::Matching::Query.new(content: Glossema::Content.text(source), source_lang: @project.source_lang,
      target_lang: @project.target_lang, client: @project.client&.name, subject: @project.subject,
      previous: nil, next: nil, key: nil)
  end
end
