# Looks words up in the memories of a project and in the project itself, with what stands around them.
class Memory::Concordance
  LIMIT = 40
  COLUMNS =
    "u.id, u.memory_id, u.source, u.target, COALESCE(NULLIF(u.changed_by, ''), u.author), u.client, " \
      "u.subject, u.project, u.updated_at".freeze

  # In the inexact way so many times as many units are read as are given: not all that begin alike are.
  READ = 25

  # side: "source" or "target"; way: of Searched::WAYS.
  def initialize(memories, project: nil, text:, side: "source", way: "phrase")
    @memories, @project, @side, @way = memories, project, side == "target" ? "target" : "source", way
    language = (project || memories.first)&.public_send("#{@side}_lang")
    @searched = Glossema::Searched.new(text, way: way, language: language)
  end

  # {"hits" => [{…}], "more" => are there more?}. Hits of the project come first,
  # those not translated yet last.
  def to_h
    return { hits: [], more: false } if @searched.empty?

    translated, open = of_project.partition { |hit| hit[:target].present? }
    hits = translated + of_memories + open
    { hits: hits.first(LIMIT), more: hits.size > LIMIT }
  end

  # Units that another server found, as hits.
  def of_server(units, name)
    units.map do |unit|
      hit(Glossema::Content.plain(unit.source), Glossema::Content.plain(unit.target), unit.target,
        kind: "memory", memory: name, unit: nil, author: unit.author, client: unit.client,
        subject: unit.subject, project: unit.project, changed_at: unit.changed_at)
    end
  end

  private

  def of_memories
    return [] if @memories.empty?

    hits = unit_rows.map do |unit, memory, source, target, author, client, subject, project, changed|
      about = { memory: names[memory], memory_id: memory, unit: unit, author: author, client: client,
                subject: subject, project: project,
                changed_at: "#{changed.to_s[0, 19].tr(" ", "T")}Z" }
      hit(Glossema::Content.plain(source), Glossema::Content.plain(target), target, kind: "memory", **about)
    end
    hits.reject { |one| strict? && one[:marks].empty? }.first(LIMIT + 1).sort_by { |one| one[:changed_at] }
      .reverse
  end

  def names = @names ||= @memories.to_h { |memory| [memory.id, memory.name] }

  # Does the index give more than what is looked for?
  def strict? = @way == "alike" || @searched.symbols

  # Rows of COLUMNS, the newest units first.
  def unit_rows
    limit = (LIMIT + 1) * (strict? ? READ : 1)
    own = "+u.memory_id IN (#{names.keys.join(",")})"
    if @searched.symbols
      return Memory::Index.select(
        "SELECT #{COLUMNS} FROM translation_units u WHERE #{own} AND instr(u.#{@side}, ?) > 0 " \
          "ORDER BY u.id DESC LIMIT #{limit}",
        [Glossema::Content.escape(@searched.symbols)]
      )
    end

    Memory::Index.select(
      "SELECT #{COLUMNS} FROM memory_texts t CROSS JOIN translation_units u ON u.id = t.rowid WHERE " \
        "memory_texts MATCH ? AND #{own} ORDER BY t.rowid DESC LIMIT #{limit}",
      [query]
    )
  end

  def of_project
    return [] unless @project

    segments = @project.segments.where(id: ids_in_project).joins(:document).includes(:document)
    segments.order("documents.position", :position).map do |segment|
      hit(
        Glossema::Content.plain(segment.source),
        Glossema::Content.plain(segment.target),
        segment.target,
        kind: "project",
        segment: segment.id,
        position: segment.position,
        file: segment.document.name,
        state: segment.state
      )
    end
  end

  # The database folds nothing but case of ASCII: each text is looked at.
  def ids_in_project
    @project.segments.where.not(@side => "").joins(:document).order("documents.position", :position)
      .pluck(:id, @side).lazy
      .select { |_, written| @searched.marks(Glossema::Content.plain(written)).any? }
      .first(LIMIT).map(&:first)
  end

  def hit(source, target, written, **about)
    {
      source: source,
      target: target,
      written: written,
      marks: @searched.marks(@side == "source" ? source : target),
      side: @side,
      **about
    }
  end

  # FTS5 syntax; every word is quoted, so nothing a user types has a meaning of its own there.
  def query
    words =
      @searched.words.map do |word|
        if @way == "alike" && !word.match?(Memory::Index::UNPARTED)
          "\"#{@searched.beginning(word)}\"*"
        else
          "\"#{Memory::Index.parted(word)}\""
        end
      end
    phrase = "\"#{Memory::Index.parted(@searched.words.join(" "))}\""
    "#{@side}: #{@way == "phrase" ? phrase : words.join(" AND ")}"
  end
end
