# The text of a project divided among several by words, at borders of files and headings.
class Project::Division
  # document_ids: of the files that are divided, all when nil.
  def initialize(project, count, document_ids: nil)
    @segments = project.segments.joins(:document).includes(:document)
      .order("documents.position", :position).to_a
    @segments.select! { |segment| document_ids.include?(segment.document_id) } if document_ids
    @found = Glossema::Exchange::Shares.divide(pieces, count)
  end

  # {borders:, near:, shares: [{words:, segments:, from:, to:, segment_ids:}, …]}
  def to_h
    { borders: @found.borders, near: @found.near,
      shares: @found.ranges.zip(@found.words).map { |range, words| share(@segments[range], words) } }
  end

  private

  def pieces
    @segments.each_with_index.map do |segment, index|
      piece(segment, index.zero? ? nil : @segments[index - 1])
    end
  end

  def piece(segment, before)
    Glossema::Exchange::Shares::Piece.new(words: segment.words, begins: begins(segment, before))
  end

  def begins(segment, before)
    return :file if before.nil? || before.document_id != segment.document_id
    return if before.unit_id == segment.unit_id

    segment.block.start_with?("heading") ? :heading : :paragraph
  end

  def share(segments, words)
    { words: words, segments: segments.size, from: place(segments.first), to: place(segments.last),
      segment_ids: segments.map(&:id) }
  end

  def place(segment) = segment && { file: segment.document.name, number: segment.position }
end
