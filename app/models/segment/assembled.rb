# A translation of a segment put together from what its project knows of smaller parts.
class Segment::Assembled
  # A phrase may become so many words.
  WORDS = 14

  def initialize(segment)
    @segment, @project = segment, segment.project
  end

  # A Glossema::Matching::Assembly::Result or nil.
  def result
    memories = @project.attachments.usable.includes(:memory).map(&:memory)
    phrases = Memory::KnownTerms.new(memories, words: WORDS)
    Glossema::Matching::Assembly.new(phrases) { |text| parts(text) }.assemble(@segment.source_content)
  end

  private

  def parts(text)
    found = Segment::Terms.new(@segment, text).to_h
    terms = found[:terms].filter_map do |term|
      target = term[:targets].find { |one| one[:usable] }
      part(term, target[:text], "term") if target
    end
    terms + found[:carried].map { |one| part(one, one[:target], "carried") }
  end

  def part(place, text, kind) =
    Glossema::Matching::Assembly::Part.new(place[:from], place[:to], text, kind)
end
