# Long work, and every change that can be undone: who began it, on what, how far it is, what it came to and
# what is needed to undo it. Each kind is a class of its own in operations/, which does it in `perform` and
# undoes it in `revert`.
#
#   queued → running → done → (queued, undoing → running, undoing →) undone
#                    ↘ failed, cancelled → (queued again: retried)
#
# active: a worker has it in hand, also while it clears up after it was cancelled. docs/architecture.md shows
# its life.
class Operation < ApplicationRecord
  include Operation::Execution
  include Operation::Steps
  include Operation::Scheduling
  include Operation::Starting

  self.inheritance_column = "kind"

  STATES = %w[queued running done failed cancelled undone].freeze
  # interactive: somebody waits for it; ordinary; bulk: long work that never takes the last worker.
  WEIGHTS = %w[interactive ordinary bulk].freeze
  # So many units, entries or segments are written while a request waits.
  SMALL = 100
  # The phase of one that was stopped, while what is half done goes.
  CLEARING = "clearing".freeze
  # What is worked on, or is to be.
  UNDER_WAY = %w[queued running].freeze

  belongs_to :subject, polymorphic: true, optional: true
  belongs_to :user, optional: true
  has_many :unit_versions, class_name: "TranslationUnitVersion", dependent: :delete_all,
    inverse_of: :operation
  has_many :entry_versions, class_name: "TermEntryVersion", dependent: :delete_all, inverse_of: :operation
  has_many :candidates, class_name: "TermCandidate", dependent: :delete_all, inverse_of: :operation
  # What came in to be worked on, and the file that was made.
  has_many_attached :files
  has_one_attached :output

  validates :state, inclusion: { in: STATES }
  validates :weight, inclusion: { in: WEIGHTS }

  # Its weight.
  class_attribute :default_weight, default: "ordinary"
  # Does it write into its subject, so that no other one may do so meanwhile?
  class_attribute :exclusive, default: true
  # What somebody must be allowed who does it to a memory or termbase of others, of Share::RIGHTS.
  class_attribute :right_needed, default: "edit"
  # Is what it did undone by itself when it is cancelled or fails in the middle?
  class_attribute :reverts_when_stopped, default: false
  # Does a newer one of the same kind and subject take its place?
  class_attribute :superseding, default: false
  # Does it read files that somebody brought, which may mean harm?
  class_attribute :reads_files, default: false
  # Is it shown in Activity? Others only show progress.
  class_attribute :in_activity, default: true

  scope :under_way, -> { where(state: UNDER_WAY).or(where(active: true)) }
  scope :listed, -> { where(kind: Operations.listed_kinds) }

  class << self
    def find_sti_class(name)
      Operations.const_get(name.camelize, false)
    rescue NameError
      # A kind of another version: what is known of it is shown.
      Operation
    end

    def sti_name = name.demodulize.underscore
  end

  def under_way? = UNDER_WAY.include?(state) || active?

  # Did it change something that can be undone?
  def undoable?
    respond_to?(:revert) && %w[done failed cancelled].include?(state) && !active? && changed_anything?
  end

  # A cancelled or failed one can be tried again.
  def retryable? = %w[failed cancelled].include?(state) && !active? && respond_to?(:perform)

  # What marks the segments that it wrote.
  def tag = "op-#{id}"

  # About how many seconds it will take yet; nil where that cannot be told.
  def seconds_left
    since = cursor.fetch("from", 0)
    return unless state == "running" && started_at && done > since && total >= done

    ((Time.current - started_at) * (total - done) / (done - since)).round
  end

  # Of what it came to, what is shown; a kind may leave out what is long.
  def shown_result = result

  # For good, with the versions it kept.
  def purge
    [unit_versions, entry_versions].each do |versions|
      versions.in_batches(of: 1000) do |batch|
        batch.delete_all
        ShortTransaction.pause
      end
    end
    destroy!
  end

  # Adds to what it came to.
  def note(**facts) = update!(result: result.merge(facts.stringify_keys))

  private

  # Is there something to undo? Kinds whose work may have come to nothing say so.
  def changed_anything? = true
end
