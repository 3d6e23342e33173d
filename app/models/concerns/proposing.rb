# What a new brief proposes from the files and from the client's earlier work. A field she changed is left
# alone.
module Proposing
  FIELDS = %w[name client_id source_lang target_lang subject reference due_at].freeze
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
  end

  # The next reference by the user's pattern of {client} {yyyy} {yy} {mm} {nn}: one more than the highest so
  # far.
  def next_reference
    pattern = user.reference_pattern
    filled =
      pattern
        .gsub("{client}", client&.code || "PRJ")
        .gsub("{yyyy}", Time.current.year.to_s)
        .gsub("{yy}", Time.current.strftime("%y"))
        .gsub("{mm}", Time.current.strftime("%m"))
    filled += "-{nn}" unless filled.include?("{nn}")
    shape = /\A#{Regexp.escape(filled).sub(Regexp.escape("{nn}"), '(\d+)')}\z/
    last =
      user
        .projects
        .where.not(id: id)
        .pluck(:reference)
        .filter_map { |reference| reference.to_s[shape, 1]&.to_i }
        .max
        .to_i
    filled.sub("{nn}", format("%02d", last + 1))
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
    self.client_id ||= seen_client(ready)&.id
    found = ready.filter_map(&:source_lang).tally.max_by(&:last)&.first
    self.source_lang ||= regional(found)
    words = ready.sum { |document| document.facts["words"].to_i }
    {
      "name" => ready.first && File.basename(ready.first.name, ".*").tr("_-", " ").squish.upcase_first,
      "client_id" => seen_client(ready)&.id || earlier&.client_id,
      "source_lang" => regional(found) || earlier&.source_lang,
      "target_lang" => earlier&.target_lang,
      "subject" => earlier&.subject.presence,
      "reference" => next_reference,
      "due_at" => words.positive? ? WorkingDays.after((words / WORDS_A_DAY.to_f).ceil + 1) : nil
    }
  end

  # A language found without its region is taken in the region she had it in before.
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

  # The memories of the client's last project, except those made for one project alone.
  def propose_memories
    return unless target_lang && source_lang

    rows =
      (earlier&.attachments || [])
        .reject { |attachment| attachment.learns == "confirm" }
        .select { |attachment| attachment.memory.fits?(source_lang, target_lang) }
    return if rows.empty? || rows.map(&:memory_id) == attachments.map(&:memory_id)

    attach(rows.map { |row| row.attributes.slice("memory_id", "learns", "read_only", "penalty") })
    update!(proposed: proposed.merge("memories" => rows.map(&:memory_id)))
  end
end
