# The words of each file of a project split by what the attached memories gave before the work began; makes a
# report of it when the files are others than at the last one.
class Operations::ProjectCount < Operation
  self.exclusive = false
  self.in_activity = false
  self.superseding = true

  def perform
    documents = subject.documents.select(&:ready?)
    segments = subject.counted_segments
    rows = Report::Matching.new(subject, stores, self).rows(segments)
    bands = interruptible { Glossema::Counting::Bands.assign(rows) }
    counted = segments.zip(bands).group_by { |segment, _| segment.document_id }
    publish { documents.each { |document| document.update!(bands: sum(counted.fetch(document.id, []))) } }
    subject.announce("counted")
    subject.report_when_changed(segments, rows)
  end

  def heavy? = Operation::ChildProcess.worth?(segments: subject.segments.count)

  private

  def stores = subject.counted_memories.map { |row| row.values_at("id", "penalty") }

  def sum(rows)
    Glossema::Counting::Bands.sum(
      rows.map do |segment, band|
        count = { segments: 1, words: segment.words, characters: segment.characters }
        [band, Glossema::Counting::Count.new(**count)]
      end
    )
  end
end
