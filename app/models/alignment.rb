# Two finished files, each other's translation, as beads that are confirmed, put right by hand, and given to
# a memory.
class Alignment < ApplicationRecord
  include Alignment::Editing
  include Alignment::Leaving

  STATES = %w[waiting aligning ready failed].freeze

  belongs_to :user
  validates :name, length: { maximum: BoundedTexts::NAME }
  belongs_to :client, optional: true
  belongs_to :memory, optional: true
  belongs_to :project, optional: true
  has_many :operations, as: :subject, dependent: :destroy, inverse_of: :subject
  has_one_attached :source_file
  has_one_attached :target_file

  validates :state, inclusion: { in: STATES }
  validates :name, presence: true

  # Those that wait and that no operation aligns, as those of an earlier version, are aligned.
  def self.resume
    where(state: %w[waiting aligning]).find_each do |alignment|
      alignment.align_later unless alignment.operations.under_way.exists?
    end
  end

  # Its changes, each with a way back.
  def edits = Operations::AlignmentEdit.where(subject: self)

  # Begins to align, from the start.
  def align_later
    update!(state: "waiting", message: nil, progress: 0)
    Operations::Alignment.start(self, by: user, summary: name)
  end

  # Reads both files and aligns them, as an operation. Raises Refused where that cannot be.
  def align(operation)
    @operation = operation
    update!(state: "aligning", message: nil, progress: 0)
    segments = [[source_file, source_lang], [target_file, target_lang]].map { |file, lang| read(file, lang) }
    found = aligned(segments)
    operation.publish do
      self.beads = found
      update!(state: "ready", message: doubt(segments))
      edits.delete_all
    end
    serve if project && memory.nil?
  end

  # {"pairs", "confirmed", "doubtful", "one_sided", "left"}
  def counts
    paired, single = beads.partition { |bead| Glossema::Alignment::Editing::SIDES.all? { |side| bead[side].any? } }
    { pairs: paired.size, one_sided: single.size,
      confirmed: beads.count { |bead| bead["state"] == "confirmed" },
      left: beads.count { |bead| bead["state"] == "left" },
      doubtful: beads.count { |bead| doubtful?(bead) } }
  end

  # Are the languages others now, not only of another region?
  def other_languages?
    %w[source_lang target_lang].any? do |field|
      before, now = changes[field]
      before && Glossema::Languages.primary(before) != Glossema::Languages.primary(now)
    end
  end

  # As the page shows them: which are to be looked at.
  def shown(list = beads) = list.map { |bead| { **bead, "doubtful" => doubtful?(bead) } }

  # Below this a pair is looked at.
  DOUBTFUL = 0.75

  private

  def doubtful?(bead)
    bead["state"].nil? && !bead["set"] && bead["probability"].to_f < DOUBTFUL
  end

  def read(file, lang)
    document = Glossema::Document.new(file.download.b, name: file.filename.to_s, language: lang)
    document.segments.reject { |segment| segment.content.text.strip.empty? }
  end

  def aligned(segments)
    pieces = segments.map { |list| list.map { |segment| Glossema::Alignment::Piece.from_segment(segment) } }
    items = pieces.map { |list| list.map { |piece| piece.to_h.transform_keys(&:to_s) } }
    aligner = Glossema::Alignment::Aligner.new(*pieces, given: terms, known: known)
    beads = @operation.interruptible { aligner.beads { |share| progressed(share) } }
    beads.map do |bead|
      { "source" => items[0][bead.source], "target" => items[1][bead.target], "state" => nil,
        "probability" => bead.probability, "set" => false, "note" => "" }
    end
  end

  # Who waits sees how far it is; not more often than it changes.
  def progressed(share)
    percent = (share * 100).floor
    return unless percent > progress

    Thread.handle_interrupt(Operation::Execution::Cancelled => :never) do
      update_columns(progress: percent)
      @operation.progress(percent, 100)
    end
  end

  # The number of units of the user's memories for the two languages that teach word pairs; latest first.
  LEARNED = 4000
  def known
    memories = user.access.readable(Memory).present.select { |memory| memory.fits?(source_lang, target_lang) }
    units = TranslationUnit.where(memory_id: memories.map(&:id)).order(updated_at: :desc).limit(LEARNED)
    units.pluck(:source, :target).map { |pair| pair.map { |text| Glossema::Content.plain(text) } }
  end

  # Term pairs of the user's termbases for the two languages.
  def terms
    languages = [source_lang, target_lang].map { |lang| Glossema::Languages.primary(lang) }
    termbases = user.access.readable(Termbase).present
    rows = Term.joins(:entry).where(termbase_id: termbases.select(:id), forbidden: false)
      .pluck(:term_entry_id, :lang, :text)
    rows.group_by(&:first).flat_map do |_, own|
      ones, others = languages.map do |lang|
        own.select { |_, tag, _| Glossema::Languages.primary(tag) == lang }.map { |_, _, text| text.delete("*") }
      end
      ones.product(others)
    end
  end

  FEW = 0.35
  # A sentence where the two hardly belong together.
  def doubt(segments)
    sizes = segments.map(&:size)
    return I18n.t("alignments.empty") if sizes.min.zero?

    sure = beads.count { |bead|
      bead["probability"].to_f > DOUBTFUL && bead["source"].any? && bead["target"].any?
    }
    I18n.t("alignments.unlike") if sure < sizes.min * FEW
  end
end
