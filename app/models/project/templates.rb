# Templates: a project saved as one, with everything but its files, and briefs made from it.
module Project::Templates
  extend ActiveSupport::Concern
  KINDS = %w[project template quick].freeze
  # What a brief takes from a template, and a template from a project.
  COPIED = %w[
    client_id
    source_lang
    target_lang
    subject
    description
    rules
    never_used
    never_translated
    check_profile
    file_pattern
  ].freeze

  included do
    validates :kind, inclusion: { in: KINDS }
    scope :work, -> { where(kind: "project") }
    scope :templates, -> { where(kind: "template") }
  end

  class_methods do
    # Quick counts that nobody kept, after a day.
    def purge_quick
      where(kind: "quick", created_at: ..1.day.ago).find_each do |project|
        project.purge if project.reports.none?(&:kept)
      end
    end
  end

  def template? = kind == "template"

  # Saves the project as a template of its owner's.
  def save_as_template(name)
    transaction do
      template = user.all_projects.create!(kind: "template", name: name.presence || self.name, **copied)
      template.copy_memories(self)
      template
    end
  end

  # A brief that begins with what the template says.
  def new_brief
    transaction do
      brief = user.all_projects.create!(**copied, proposed: { "as_template" => name })
      brief.copy_memories(self)
      brief
    end
  end

  # The memories of another project, but for the one made for it alone, and its termbases.
  def copy_memories(other)
    attach_termbases(termbase_rows(other))
    rows = other.attachments.usable.reject { |row| row.learns == "confirm" }
    attach(rows.map { |row|
      row.attributes.slice("memory_id", "learns", "read_only", "penalty")
    }) if rows.any?
  end

  private

  def copied = attributes.slice(*COPIED).symbolize_keys
end
