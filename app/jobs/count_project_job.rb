# Splits the words of each document by what the attached memories gave before the work began.
class CountProjectJob < ApplicationJob
  def perform(project)
    documents = project.documents.select(&:ready?)
    lookup = project.lookup(known_before: true)
    segments = documents.flat_map { |document| document.segments.to_a }
    rows = segments.each_with_index.map do |segment, index|
      beside = [index.zero? ? nil : segments[index - 1], segments[index + 1]].map { |other| other&.document_id == segment.document_id ? other.source_key : nil }
      query = Glossema::Matching::Query.new(content: segment.source_content, source_lang: project.source_lang, target_lang: project.target_lang,
                                            client: project.client&.name, subject: project.subject, previous: beside[0], next: beside[1])
      [segment.source_content, lookup.matches(query, threshold: 50, limit: 1).first]
    end
    bands = Glossema::Counting::Bands.assign(rows)
    counted = segments.zip(bands).group_by { |segment, _| segment.document_id }
    documents.each do |document|
      list = (counted[document.id] || []).map { |segment, band| [band, Glossema::Counting::Count.new(segments: 1, words: segment.words, characters: segment.characters)] }
      document.update!(bands: Glossema::Counting::Bands.sum(list))
    end
    project.announce("counted")
  end
end
