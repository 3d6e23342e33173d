# What reads otherwise in a project than when it was delivered last.
class Project::SinceDelivery
  SHOWN = 200

  def initialize(project)
    @project = project
    @delivery = project.deliveries.reorder(number: :desc).find { |one| one.texts.attached? }
  end

  # The number of that delivery, or nil.
  def number = @delivery&.number

  # [[segment, its target then], …] in text order.
  def changed
    return [] unless @delivery

    @changed ||= segments.filter_map do |segment|
      was = texts[segment.id.to_s].to_s
      [segment, was] unless was == segment.target
    end
  end

  private

  def texts = @texts ||= JSON.parse(@delivery.texts.download)

  # Of the files that went out then.
  def segments
    @project.segments.joins(:document).where(document_id: @delivery.files.select(:document_id))
      .order("documents.position", :position).includes(:document)
  end
end
