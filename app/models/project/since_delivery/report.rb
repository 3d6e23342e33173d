# What changed since the last delivery, for the client, as a workbook: words by file, and each place before
# and after.
class Project::SinceDelivery::Report
  include TableWords

  HEADER = %w[file number source delivered now words].freeze
  WIDTHS = [20, 8, 50, 50, 50, 8].freeze

  def initialize(project)
    @project, @since = project, Project::SinceDelivery.new(project)
  end

  def name
    parts = [@project.reference, word("names.changes_since"), @since.number]
    "#{parts.compact_blank.join(" ")}.xlsx".tr("/\\", "-")
  end

  def xlsx
    TablesAsWorkbook.new
      .add("files", %w[file words segments segments_changed words_in_them], [40, 12, 12, 18, 18], files)
      .add("changes", HEADER, WIDTHS, @since.changed.map { |segment, was| cells(segment, was) }).bytes
  end

  private

  def files
    changed = @since.changed.map(&:first).group_by(&:document_id)
    @project.documents.select(&:ready?).map do |document|
      own = changed.fetch(document.id, [])
      [document.name, document.segments.sum(:words), document.segments.count, own.size, own.sum(&:words)]
    end
  end

  def cells(segment, was)
    texts = [was, segment.target].map { |text| Glossema::Content.plain(text) }
    [segment.document.name, segment.position, segment.source_content.text, *texts, segment.words]
  end
end
