# Splits the words of each document by what the attached memories gave before the work began, and makes a
# report of it when the files are others than at the last one.
class CountProjectJob < ApplicationJob
  def perform(project)
    @project = project
    # A later count of the same project takes over.
    Rails.cache.write(latest, job_id)
    documents = project.documents.select(&:ready?)
    segments = project.counted_segments
    stores = project.counted_memories.map { |row| row.values_at("id", "penalty") }
    rows = Report::Matching.new(project, stores).rows(segments) { :stop if Rails.cache.read(latest) != job_id }
    return unless rows

    bands = Glossema::Counting::Bands.assign(rows)
    counted = segments.zip(bands).group_by { |segment, _| segment.document_id }
    documents.each { |document| document.update!(bands: sum(counted.fetch(document.id, []))) }
    project.announce("counted")
    project.report_when_changed(segments, rows)
  end

  private

  def latest = "count:#{@project.id}"

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
