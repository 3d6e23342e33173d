# Today: projects in order of time, the words left, and the one thing to go on with.
class User::Agenda
  WEEK = 7.days

  def initialize(user)
    @user = user
  end

  def to_h
    rows = projects.map { |project| row(project) }
    {
      projects: rows,
      briefs: briefs,
      resume: resume,
      reminders: reminders,
      to_review: to_review,
      due_this_week:
        rows
          .select { |one| one[:due_at] && one[:due_at] <= WEEK.from_now }
          .sum { |one| one[:left] },
      words_per_hour: @user.words_per_hour
    }
  end

  private

  # Unfinished work due by the end of the next working day, from the set time of day on.
  def reminders
    return [] if @user.zone.now.strftime("%H:%M") < @user.remind_at

    soon = @user.days_from_now(1).end_of_day
    near = projects.select { |project| project.due_at && project.due_at <= soon && project.deliveries.empty? }
    near.map { |project| { id: project.id, name: project.name, due_at: project.due_at } }
  end

  # Review requests of colleagues, and their progress.
  def to_review
    rounds = ReviewRound.open_to(@user).where(guest: @user).where.not(state: "closed")
    rounds.includes(project: :user).map do |round|
      { id: round.id, from: round.project.user.name, sent: round.base.size, read: round.passages.read.count,
        may: round.may, **round.project.slice("name", "source_lang", "target_lang", "due_at").symbolize_keys }
    end
  end

  def projects =
    @projects ||=
      @user
        .projects
        .begun
        .unfinished
        .includes(:client, :documents, :deliveries, :quotes)
        .sort_by { |project| [project.due_at ? 0 : 1, project.due_at || project.begun_at] }

  def figures = @figures ||= Project::Figures.new(projects)

  def row(project)
    by_state = figures.words(project)
    left = by_state.values_at(*Segment::UNFINISHED).sum
    {
      id: project.id,
      name: project.name,
      client: project.client&.name,
      reference: project.reference,
      source_lang: project.source_lang,
      target_lang: project.target_lang,
      due_at: project.due_at,
      words: by_state,
      left: left,
      hours: (left / @user.words_per_hour.to_f).round(2),
      known: known(project),
      worth: project.worth,
      step: figures.step(project)
    }
  end

  # The share of words that the memories give at 75 or more, in percent; nil before it was counted.
  def known(project)
    bands = project.documents.filter_map(&:bands)
    total = bands.sum { |table| table.values.sum { |band| band["words"] } }
    return nil if total.zero?

    (
      100.0 *
        bands.sum do |table|
          table
            .values_at("context", "exact", "repetition", "95-99", "85-94", "75-84")
            .sum { |band| band["words"] }
        end / total
    ).round
  end

  def briefs
    @user
      .projects
      .work
      .where(begun_at: nil)
      .joins(:documents)
      .distinct
      .order(:id)
      .map do |project|
        {
          id: project.id,
          name: project.name.presence || project.documents.first.name,
          files: project.documents.size,
          created_at: project.created_at
        }
      end
  end

  def resume
    project = projects.select { |one| unfinished?(one) }.max_by { |one| one.opened_at || one.begun_at }
    return nil unless project

    # A file may be put away while this is read.
    segment = next_of(project) or return nil
    {
      project_id: project.id,
      name: project.name,
      segment_id: segment.id,
      number: segment.position,
      total: segment.document.segments.count,
      text: segment.source_content.text
    }
  end

  def unfinished?(project)
    figures.words(project).values_at(*Segment::UNFINISHED).any?(&:positive?)
  end

  # The segment to go on with: the one that was open last, or the next unfinished one after it.
  def next_of(project)
    ordered = project.segments.joins(:document).order("documents.position", :position)
    unfinished = ordered.where(state: Segment::UNFINISHED)
    last = ordered.find_by(id: project.last_segment_id) || unfinished.first || ordered.first
    return last if last.nil? || Segment::UNFINISHED.include?(last.state)

    after = unfinished.where(
      "documents.position > :d OR (documents.position = :d AND segments.position > :s)",
      d: last.document.position,
      s: last.position
    )
    after.first || last
  end
end
