# The termbases of a project, in order.
module Project::Terms
  extend ActiveSupport::Concern
  FIELDS = %w[termbase_id adds checks read_only].freeze

  # The recognizers of its termbases for one of its languages, in order; checking: only of those that checks
  # use.
  def term_finders(lang, checking: false)
    rows = attached_termbases.usable.includes(:termbase)
    rows = rows.where(checks: true) if checking
    rows.map { |row| Termbase::Finders.fetch(row.termbase, lang) }
  end

  included do
    has_many :attached_termbases, -> { order(:position) }, dependent: :destroy, inverse_of: :project
  end

  # rows: array of FIELDS in order.
  def attach_termbases(rows)
    transaction do
      attached_termbases.usable.destroy_all
      rows.each_with_index do |row, index|
        row = row.stringify_keys
        termbase = user.access.readable(Termbase).present.find(row["termbase_id"])
        given = user.access.right(termbase) == "view"
        attached_termbases.create!(
          termbase: termbase, position: index + 1, adds: row.fetch("adds", true),
          checks: row.fetch("checks", true), read_only: given || row.fetch("read_only", false)
        )
      end
    end
    attached_termbases.reload
    announce("terms")
  end

  # Those set up for the client, else those of the client's last project, where there are none yet.
  def propose_termbases
    return if kind == "quick" || attached_termbases.any?

    rows = client ? client.termbases_there : []
    rows = termbase_rows(earlier) if rows.empty? && earlier
    attach_termbases(rows) if rows.any?
  end

  def termbase_rows(project) =
    project.attached_termbases.usable.map { |row| row.attributes.slice(*FIELDS) }
end
