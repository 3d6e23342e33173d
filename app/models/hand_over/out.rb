# The package of a round: originals, text, memories, terms, rules, reference files, and what is to be done.
class HandOver::Out
  # segments: of the round, in text order; operation: that it is part of, which can be cancelled.
  def initialize(round, segments, operation)
    @round, @project, @segments, @operation = round, round.project, segments, operation
  end

  def bytes
    parts = {}
    files = @segments.group_by(&:document).each_with_index.map do |(document, own), index|
      file(document, own, index + 1, parts)
    end
    about = { **head, "files" => files, "memories" => memories(parts), "termbases" => termbases(parts),
                      "rules" => rules(parts), "reference" => references(parts) }
    Glossema::Exchange::Package.write("hand-over", about, parts)
  end

  private

  def options = @round.options
  def languages = [@project.source_lang, @project.target_lang]

  def head
    { "token" => @round.token, "from" => @project.user.name, "to" => @round.reviser,
      "project" => { **@project.slice("name", "reference", "subject", "source_lang", "target_lang"),
        "client" => @project.client&.name, "due_at" => options["due_at"].presence },
      "task" => options["task"].to_s, "instructions" => options["message"].to_s }
  end

  def file(document, own, number, parts)
    whole, mine = document.segments.to_a, own.to_set(&:id)
    original, text = "originals/#{number}-#{document.name}", "#{HandOver::TEXTS}#{number}.xlf"
    parts[original] = document.original.download
    parts[text] = HandOver.text_of(document.name, @round.token, languages, whole.map { |one|
      row(one, mine.include?(one.id))
    })
    { "name" => document.name, "original" => original, "text" => text, "by" => document.by,
      "options" => document.options, "breaks" => document.breaks, "hand" => document.hand,
      "words" => own.sum(&:words), "keys" => keys(own), "context" => keys(whole - own) }
  end

  def keys(segments) = segments.to_h { |segment| [segment.key, segment.id] }

  def row(segment, mine)
    Glossema::Review::Row.new(id: segment.id, locked: !mine, number: segment.position,
      source: segment.source_content, target: segment.target_content, state: segment.state,
      notes: [segment.note].compact_blank)
  end

  def memories(parts)
    return [] unless options["memories"]

    here(@project.attachments.usable.includes(memory: :remote),
      :memory).each_with_index.map do |attached, index|
      memory, path = attached.memory, "memories/#{index + 1}.tmx"
      parts[path] = tmx(memory)
      { **memory.slice("name", "source_lang", "target_lang"), "origin" => memory.origin_id, "path" => path }
    end
  end

  # What is on other servers stays there.
  def here(rows, kind) = rows.reject { |row| row.public_send(kind).remote }

  def tmx(memory)
    units = matching? ? memory.units.where(id: matches_in(memory)).to_a : memory.units.find_each.lazy
    StringIO.new.tap { |out|
      Glossema::Exchange::Tmx.write(out, units.map(&:to_pair), source_lang: memory.source_lang,
        target_lang: memory.target_lang)
    }.string
  end

  # Does only what matches go along?
  def matching? = options["matching"] == true

  # A match from so much on goes along.
  LEAST = 70
  def matches_in(memory)
    lookup = Glossema::Matching::Lookup.new([memory.store])
    @segments.uniq(&:source_key).flat_map { |segment|
      @operation.checkpoint
      query = segment.query(nil, nil, of: @project)
      lookup.matches(query, threshold: LEAST).map { |match| match.candidate.id }
    }.uniq
  end

  # The entries of a termbase that stand in the text.
  def entries_in(termbase)
    texts = @segments.uniq(&:source_key).map { |segment| segment.source_content.text }
    finder = Termbase::Finders.fetch(termbase, @project.source_lang)
    texts.flat_map { |text| finder.find(text).map { |found| found.entry.id } }.uniq
  end

  def termbases(parts)
    return [] unless options["termbases"]

    here(@project.attached_termbases.usable.includes(termbase: :remote), :termbase)
      .each_with_index.map do |attached, index|
      path = "terms/#{index + 1}.tbx"
      only = entries_in(attached.termbase) if matching?
      parts[path] = Termbase::Export.new(attached.termbase, only: only).bytes("tbx")
      { "name" => attached.termbase.name, "origin" => attached.termbase.origin_id, "path" => path,
        "checks" => attached.checks }
    end
  end

  def rules(parts)
    xml = Rules.new(@project).srx.xml or return
    "rules.srx".tap { |path| parts[path] = xml }
  end

  def references(parts)
    @project.reference_files.map do |file|
      "reference/#{file.filename}".tap { |path| parts[path] = file.download }
    end
  end
end
