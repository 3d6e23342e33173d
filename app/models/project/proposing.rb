# What a new brief proposes from the files and the client's earlier work. Fields that the user changed are
# left alone.
module Project::Proposing
  FIELDS = %w[
    name client_id source_lang target_lang subject reference due_at file_pattern never_used never_translated
    rules
  ].freeze
  WORDS_A_DAY = 2000

  # Fills the fields that are still empty or still as last proposed.
  def propose
    proposal = proposal_fields
    FIELDS.each do |field|
      current = public_send(field)
      next unless proposal[field] && (current.blank? || proposed[field] == current.as_json)

      self[field] = proposal[field]
      proposed[field] = proposal[field].as_json
    end
    proposed["client_seen"] = @client_seen
    proposed["as_in"] = earlier&.reference
    save!
    propose_memories if attachments.empty? || proposed["memories"] == attachments.map(&:memory_id)
    propose_termbases
  end

  # The source language that the user chose, not a proposed one: until then each file goes by its own,
  # whichever was read first.
  def chosen_source_lang = (source_lang if begun? || proposed["source_lang"] != source_lang)

  # The next reference by the client's pattern, or the user's.
  def next_reference
    pattern = client&.reference_pattern.presence || user.reference_pattern
    Pattern.new(pattern, client: client).next(user.all_projects.where.not(id: id).pluck(:reference))
  end

  # The latest begun project for the same client and source language.
  def earlier
    scope = user.projects.begun.where.not(id: id)
    scope = scope.where(client_id: client_id) if client_id
    scope
      .order(begun_at: :desc)
      .find { |project| source_lang.nil? || Glossema::Languages.same?(project.source_lang, source_lang) }
  end

  private

  def proposal_fields
    ready = documents.select(&:ready?)
    suppose("client_id", client_to_propose(ready))
    found = ready.filter_map(&:source_lang).tally.max_by(&:last)&.first
    suppose("source_lang", regional(found))
    { "name" => name_of(ready.first), "reference" => own_number, "due_at" => due_for(ready) }
      .merge(as_earlier)
      .merge({ "client_id" => client_to_propose(ready), "source_lang" => regional(found) }.compact)
      .merge(as_client_says)
  end

  # A quick count is nobody's as long as nobody says so.
  def client_to_propose(ready) = kind == "quick" ? nil : seen_client(ready)&.id

  # What the rest of a proposal goes by, where nothing stands there yet.
  def suppose(field, value)
    return if value.nil? || public_send(field).present?

    self[field] = proposed[field] = value
  end

  # A quick count has no number.
  def own_number = kind == "quick" ? nil : next_reference

  # What is set up once for the client.
  def as_client_says
    return {} unless client

    lists = client.slice("file_pattern", "never_used", "never_translated", "rules").compact_blank
    { **lists, "subject" => client.subjects.first }.compact
  end

  # As in the client's last project.
  def as_earlier
    return {} unless earlier

    { **earlier.slice("client_id", "source_lang", "target_lang"), "subject" => earlier.subject.presence }
  end

  def name_of(document) = document && File.basename(document.name, ".*").tr("_-", " ").squish.upcase_first

  def due_for(ready)
    words = ready.sum { |document| document.facts["words"].to_i }
    user.days_from_now((words / WORDS_A_DAY.to_f).ceil + 1) if words.positive?
  end

  # A language without a region gets the region of the client's earlier work.
  def regional(tag)
    return tag if tag.nil? || tag.include?("-")

    scope = user.projects.begun.where("source_lang LIKE ?", "#{tag}-%").order(begun_at: :desc)
    (scope.find_by(client_id: client_id) || scope.first)&.source_lang || tag
  end

  # The client whose name stands in most of the files.
  def seen_client(ready)
    return @client if defined?(@client)

    counts =
      user.clients.to_h { |client| [client, ready.count { |document| document.mentions?(client.name) }] }
    @client, seen = counts.select { |_, count| count.positive? }.max_by(&:last)
    @client_seen = @client && [seen, ready.size]
    @client
  end

  # The memories that are set up for the client, else those of the client's last project, except those made
  # for one project alone.
  def propose_memories
    return if kind == "quick" || target_lang.nil? || source_lang.nil?

    rows = memories_of_client.presence || memories_of_earlier
    ids = rows.pluck("memory_id")
    return if rows.empty? || ids == attachments.map(&:memory_id)

    attach(rows)
    update!(proposed: proposed.merge("memories" => ids))
  end

  def memories_of_client = client ? client.memories_for(source_lang, target_lang) : []

  def memories_of_earlier
    return [] unless earlier

    fields = %w[memory_id learns read_only penalty]
    fitting_memories_of(earlier).map { |row| row.attributes.slice(*fields) }
  end

  def fitting_memories_of(project)
    rows = project.attachments.reject { |row| row.learns == "confirm" }
    rows.select { |row| row.memory.fits?(source_lang, target_lang) }
  end
end
