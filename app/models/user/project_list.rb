# All projects of a translator: searched, filtered by state, client, languages and year, and summed up.
class User::ProjectList
  STATES = %w[progress delivered finished new template trash].freeze
  ORDERS = %w[due name client words].freeze
  # Shorter texts are looked for in names only.
  IN_TEXT = 3

  # params: text, state, client_id, pair ("en-GB>it-IT"), year, order. Unknown values are as good as none.
  def initialize(user, params)
    @user, @params = user, params
    @state = STATES.include?(params[:state]) ? params[:state] : STATES.first
  end

  # {state:, projects: [row …], counts: {state => how many fit}, all: how many there are, total:, choices:}
  def to_h
    rows = in_order(by_state.fetch(@state, []).map { |project| row(project) })
    { state: @state, projects: rows, counts: STATES.to_h { |state| [state, by_state.fetch(state, []).size] },
      all: everything.size, total: total(rows), choices: choices }
  end

  # The rows alone, as they are exported.
  def rows = to_h[:projects]

  private

  def everything
    @everything ||= @user.all_projects.where(kind: %w[project template])
      .includes(:client, :documents_of_any_role, :quotes)
      .reject { |project| project.deleted_at.nil? && project.begun_at.nil? && empty?(project) }
      .reject { |project| project.deleted_at && trash[project.id].nil? }
  end

  # A page that was opened and left is no project.
  def empty?(project) = project.kind == "project" && project.documents_of_any_role.empty?

  def by_state = @by_state ||= everything.select { |project| fits?(project) }.group_by { |one| state_of(one) }

  def state_of(project)
    return "trash" if project.deleted_at
    return "template" if project.template?
    return "new" unless project.begun?
    return "finished" if project.finished_at

    figures.step(project) == "delivered" ? "delivered" : "progress"
  end

  def fits?(project)
    client, pair, year = @params.values_at(:client_id, :pair, :year)
    (client.blank? || project.client_id == client.to_i) && (pair.blank? || pair_of(project) == pair) &&
      (year.blank? || year_of(project) == year.to_i) && matches_text?(project)
  end

  # Does it say what is searched for, in its names or its text?
  def matches_text?(project) = text.empty? || named?(project) || held.include?(project.id)

  def text = @text ||= @params[:text].to_s.strip
  def folded = @folded ||= Glossema::Folding.fold(text)

  def named?(project)
    names = [project.name, project.reference, project.client&.name, project.subject,
             *project.documents_of_any_role.map(&:name)]
    names.compact.any? { |name| Glossema::Folding.fold(name).include?(folded) }
  end

  # Numbers of the projects with the text in a source or a translation.
  def held
    @held ||=
      if text.length < IN_TEXT
        Set.new
      else
        pattern = "%#{Segment.sanitize_sql_like(Glossema::Content.escape(text))}%"
        Segment.where(project_id: @user.all_projects.select(:id))
          .where("source LIKE :text ESCAPE '\\' OR target LIKE :text ESCAPE '\\'", text: pattern)
          .distinct.pluck(:project_id).to_set
      end
  end

  def figures = @figures ||= Project::Figures.new(everything)
  def trash = @trash ||= TrashItem.waiting.where(user: @user, kind: "project").pluck(:record_id, :id).to_h

  def row(project)
    { **project.slice(:id, :name, :reference, :source_lang, :target_lang, :subject, :due_at, :finished_at),
      name: project.name.presence || project.documents_of_any_role.first&.name, client: project.client&.name,
      words: figures.words(project), step: project.begun? ? figures.step(project) : nil, worth: project.worth,
      delivered_at: figures.delivered_at(project), trash_item: trash[project.id],
      deleted_at: project.deleted_at }.symbolize_keys
  end

  def in_order(rows)
    case @params[:order]
    when "name" then rows.sort_by { |row| row[:name].to_s.downcase }
    when "client" then rows.sort_by { |row| [row[:client].to_s.downcase, row[:due_at].to_i] }
    when "words" then rows.sort_by { |row| -row[:words].values.sum }
    else in_time(rows)
    end
  end

  # What is to come first of all; what is over, the latest first.
  def in_time(rows)
    return rows.sort_by { |row|
      [row[:due_at] ? 0 : 1, row[:due_at].to_i, row[:id]]
    } if %w[progress new].include?(@state)

    rows.sort_by { |row|
      -(row[:deleted_at] || row[:finished_at] || row[:delivered_at] || row[:due_at]).to_i
    }
  end

  def total(rows)
    sums = rows.flat_map { |row| row[:worth] }.group_by { |worth| worth[:currency] }.map do |currency, list|
      known = Glossema::Counting::Rates.new("currency" => currency, "rate" => "0")
      { amount: known.money(list.sum { |one| BigDecimal(one[:amount]) }), currency: currency }
    end
    { projects: rows.size, words: rows.sum { |row| row[:words].values.sum }, worth: sums }
  end

  # What the list can be filtered by.
  def choices
    { clients: everything.filter_map(&:client).uniq.sort_by(&:name).map { |client| client.slice(:id, :name) },
      pairs: everything.map { |project| pair_of(project) }.compact.uniq.sort,
      years: everything.map { |project| year_of(project) }.uniq.sort.reverse }
  end

  def pair_of(project) = project.target_lang.presence && [project.source_lang, project.target_lang].join(">")

  def year_of(project)
    (project.due_at || project.begun_at || project.created_at).in_time_zone(@user.zone).year
  end
end
