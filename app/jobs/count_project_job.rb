# Splits the words of each document by what the attached memories gave before the work began.
class CountProjectJob < ApplicationJob
  STEP = 100

  def perform(project)
    @project = project
    # A later count of the same project takes over.
    Rails.cache.write(latest, job_id)
    documents = project.documents.select(&:ready?)
    segments = documents.flat_map { |document| document.segments.to_a }
    rows = matched(segments) or return

    bands = Glossema::Counting::Bands.assign(rows)
    counted = segments.zip(bands).group_by { |segment, _| segment.document_id }
    documents.each { |document| document.update!(bands: sum(counted.fetch(document.id, []))) }
    project.announce("counted")
  end

  private

  def latest = "count:#{@project.id}"

  # [content, best match or nil] for each segment; nil when a later count took over.
  def matched(segments)
    lookup, known = @project.lookup(known_before: true), {}
    segments.each_with_index.map do |segment, index|
      return nil if (index % STEP).zero? && Rails.cache.read(latest) != job_id
      next segment.source_content, known[segment.source] if known.key?(segment.source)

      match = lookup.matches(query(segments, index), threshold: 50, limit: 1).first
      # What stands around a segment only matters to an exact match.
      known[segment.source] = match unless match && match.raw == 100
      [segment.source_content, match]
    end
  end

  def query(segments, index)
    segment = segments[index]
    beside =
      [index.zero? ? nil : segments[index - 1], segments[index + 1]].map do |other|
        MemoryUnit.hash_of_key(other.source_key) if other&.document_id == segment.document_id
      end
    Glossema::Matching::Query.new(
      content: segment.source_content,
      source_lang: @project.source_lang,
      target_lang: @project.target_lang,
      client: @project.client&.name,
      subject: @project.subject,
      previous: beside[0],
      next: beside[1],
      key: segment.context
    )
  end

  def sum(rows)
    Glossema::Counting::Bands.sum(
      rows.map do |segment, band|
        [
          band,
          Glossema::Counting::Count.new(segments: 1, words: segment.words, characters: segment.characters)
        ]
      end
    )
  end
end
