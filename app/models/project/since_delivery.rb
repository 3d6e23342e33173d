# What reads otherwise in a project than when each of its files was delivered last.
class Project::SinceDelivery
  SHOWN = 200

  def initialize(project)
    @project = project
    @deliveries = project.deliveries.includes(:files, texts_attachment: :blob).select do |one|
      one.texts.attached?
    end
  end

  # The number of the last delivery, or nil.
  def number = @deliveries.last&.number

  # [[segment, its target then], …] in text order.
  def changed
    return [] if @deliveries.empty?

    @changed ||= segments.filter_map do |segment|
      was = texts[segment.id.to_s].to_s
      [segment, was] unless was == segment.target
    end
  end

  # Of the files in which something changed, and of those that are new since.
  def document_ids
    return [] if @deliveries.empty?

    fresh = @project.documents.select(&:ready?).map(&:id) - delivered
    changed.map { |segment, _| segment.document_id }.uniq | fresh
  end

  private

  # {number of a segment => its target when its file went out last}
  def texts = @texts ||= @deliveries.map { |one| JSON.parse(one.texts.download) }.reduce(&:merge)
  def delivered = @deliveries.flat_map(&:files).map(&:document_id).uniq

  def segments
    @project.segments.joins(:document).where(document_id: delivered)
      .order("documents.position", :position).includes(:document)
  end
end
