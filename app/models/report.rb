# A count that was made: dated, of a project and client, against certain memories. Once it is made it never
# changes; when the files do, it says so.
class Report < ApplicationRecord
  MADE = %w[hand files quick].freeze
  STATES = %w[counting ready failed].freeze

  belongs_to :user
  belongs_to :project, optional: true
  belongs_to :client, optional: true
  has_many :quotes, dependent: :destroy

  validates :made, inclusion: { in: MADE }
  validates :state, inclusion: { in: STATES }
  scope :kept, -> { where(kept: true) }
  scope :ready, -> { where(state: "ready") }
  before_update { throw(:abort) if figures_changed? && figures_was.present? }

  # Begins a count of a project's files. memories: the rows of attachments to count against, or of other
  # memories, [{"id", "name", "penalty"}]. Raises Refused when there is nothing to count.
  def self.start(project, memories:, made:)
    open_for(project, memories: memories, made: made).tap { |report| count(report) }
  end

  # Those that no operation counts, as those of an earlier version, are counted.
  def self.resume
    where(state: "counting").find_each do |report|
      count(report) unless Operations::ReportCount.where(subject: report.project).under_way.exists?
    end
  end

  def self.count(report)
    Operations::ReportCount.start(report.project, by: report.user, summary: report.name,
      total: report.total, input: { "report_id" => report.id })
  end

  # A report that is still to be filled.
  def self.open_for(project, memories:, made:)
    ready = project.documents.select(&:ready?)
    raise Glossema::Refused.new("nothing-to-count") if ready.empty?

    create!(
      user: project.user,
      project: project,
      client: project.client,
      name: project.name.presence || ready.first.name,
      made: made,
      kept: made != "quick",
      source_lang: project.source_lang || ready.first.source_lang,
      target_lang: project.target_lang,
      memories: memories,
      mark: project.counted_mark,
      total: ready.sum { |document| document.facts["segments"].to_i }
    )
  end

  # What a count of a project comes to. segments: those counted, in order; rows: of each as
  # Report::Matching#rows answers them.
  def self.value_of(project, segments, rows)
    names = project.documents.index_by(&:id)
    files =
      segments.zip(rows).group_by { |segment, _| segment.document_id }.map do |id, own|
        facts = { "format" => names[id]&.format, "document_id" => id }
        { name: names[id]&.name.to_s, facts: facts, rows: own.map(&:last) }
      end
    Glossema::Counting::Report.build(files, project.counted_languages)
  end

  # value: as Report.value_of answers it.
  def fill(value) = update!(state: "ready", done: total, figures: value.to_h)

  # Were the files changed since it was made?
  def outdated? = project.present? && project.counted_mark != mark

  def value = Glossema::Counting::Report.new(figures)
end
