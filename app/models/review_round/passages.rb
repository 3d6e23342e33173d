# The segments of a pass, in text order, with what differs from an earlier state of the project.
class ReviewRound::Passages
  # Where a state comes from: this round's beginning, another round's, a delivery's, the first wording.
  KINDS = %w[begin round delivery first].freeze
  SHOWN = %w[source target codes state place block version words note].freeze

  # against: the key of a state, see #states.
  def initialize(round, against: "begin")
    @round, @project = round, round.project
    @against = states.any? { |one| one[:key] == against } ? against : "begin"
  end

  attr_reader :against

  # What the text can be compared with: [{key, kind, number, at, by}, …]
  def states
    @states ||= [state("begin", @round.number, @round.created_at, nil), *rounds, *deliveries,
                 state("first", nil, nil, nil)]
  end

  def rows
    segments.map { |segment| row(segment) }
  end

  # One of them. Raises RecordNotFound where it is not in the round.
  def find(id)
    segment = @project.segments.find(id)
    raise ActiveRecord::RecordNotFound unless @round.base.key?(segment.id.to_s)

    segment
  end

  def row(segment)
    passage, change = passages[segment.id], changes[segment.id]
    shown = change ? change.after : segment.target
    { **SegmentResource.new(segment).to_h.slice(*SHOWN),
      segment_id: segment.id, number: segment.position, document_id: segment.document_id,
      read: passage&.read_at.present?, draft: passage&.draft, proposed: change&.after,
      text: Glossema::Content.plain(shown), differences: differences(shown, before(segment)) }
  end

  private

  def state(kind, number, at, by) =
    { key: [kind, (number unless kind == "begin")].compact.join("-"), kind: kind, number: number, at: at,
      by: by }

  def rounds
    @project.review_rounds.where.not(id: @round.id).map do |other|
      state("round", other.number, other.created_at, other.reviser)
    end
  end

  def deliveries
    @project.deliveries.select { |one| one.texts.attached? }.map do |one|
      state("delivery", one.number, one.created_at, nil)
    end
  end

  def segments
    @project.segments.where(id: @round.base.keys).joins(:document).includes(:document)
      .order("documents.position", :position)
  end

  def passages = @passages ||= @round.passages.index_by(&:segment_id)

  # Those that wait for the owner.
  def changes = @changes ||= @round.corrections.where(decision: "open").index_by(&:segment_id)

  def before(segment) = texts[segment.id.to_s]

  # {segment id => its target then}; one that was not there has none.
  def texts
    @texts ||= begin
      kind, number = @against.split("-")
      case kind
      when "round" then @project.review_rounds.find_by!(number: number).base
      when "delivery" then JSON.parse(@project.deliveries.find_by!(number: number).texts.download)
      when "first" then first_wordings
      else @round.base
      end
    end
  end

  # The first that was written in each, a machine's or a memory's too.
  def first_wordings
    firsts = Version.where(segment_id: @round.base.keys).where.not(target: "").group(:segment_id).minimum(:id)
    Version.where(id: firsts.values).to_h { |version| [version.segment_id.to_s, version.target] }
  end

  # nil where nothing differs, or nothing was there.
  def differences(now, before)
    return if before.nil? || before == now

    texts = [now, before].map { |text| Glossema::Content.text(Glossema::Content.plain(text)) }
    Glossema::Matching::Score.compare(*texts).differences.map(&:to_h).presence
  end
end
