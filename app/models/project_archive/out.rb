# Writes the archive of a project.
class ProjectArchive::Out
  def initialize(project)
    @project = project
  end

  def name = "#{[@project.reference, @project.name].compact_blank.join(" ")}.zip".tr("/\\", "-")

  def bytes
    parts, files = {}, []
    ProjectArchive.scopes(@project).each do |model, scope|
      rows = scope.reorder(:id).to_a
      parts[ProjectArchive.part(model.table_name)] = rows.map { |row| line(row) }.join
      files.concat(kept(model, rows, parts)) if model.reflect_on_all_attachments.any?
    end
    Glossema::Exchange::Package.write("archive", { **about, "blobs" => files }, parts)
  end

  # What is drawn anew where the archive is opened, and films, which go their own way.
  LEFT_OUT = %w[page film].freeze

  private

  def about
    { "from" => @project.user.name, "words" => @project.segments.sum(:words),
      "segments" => @project.segments.count, "at" => Time.current.utc.iso8601, "people" => people,
      "project" => @project.slice("name", "reference", "source_lang", "target_lang") }
  end

  # {number of an account => name}, of those who wrote.
  def people
    ids = Version.where(segment: Segment.where(project: @project)).distinct.pluck(:user_id).compact
    User.where(id: ids).pluck(:id, :name).to_h
  end

  # As it stands in the database; what is no text is told in base 64.
  def line(row)
    values = row.attributes_before_type_cast.transform_values do |value|
      value = value.to_s if value.is_a?(ActiveModel::Type::Binary::Data)
      binary?(value) ? { "base64" => [value].pack("m0") } : value
    end
    "#{JSON.generate(ProjectArchive.with_archived_columns(row.class.table_name, values))}\n"
  end

  def binary?(value)
    return false unless value.is_a?(String) && !value.ascii_only?

    value.encoding == Encoding::BINARY || !value.valid_encoding?
  end

  def kept(model, rows, parts)
    attached = ActiveStorage::Attachment.where(record_type: model.name, record_id: rows.map(&:id))
      .where.not(name: LEFT_OUT)
    attached.includes(:blob).map do |attachment|
      path = "blobs/#{attachment.id}"
      parts[path] = attachment.blob.download
      { "path" => path, "type" => model.name, "record" => attachment.record_id, "name" => attachment.name,
        "filename" => attachment.blob.filename.to_s, "content_type" => attachment.blob.content_type }
    end
  end
end
