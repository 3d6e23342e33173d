# Looks words up in the memories of a project and in the project itself, with what stands around them.
class Memory::Concordance
  LIMIT = 40
  COLUMNS =
    "u.id, u.memory_id, u.source, u.target, COALESCE(NULLIF(u.changed_by, ''), u.author), u.client, " \
      "u.subject, u.project, u.updated_at".freeze

  # side: "source" or "target"; way: "phrase" (words in this order), "words" (all of them) or "alike" (also
  # other endings).
  def initialize(memories, project: nil, text:, side: "source", way: "phrase")
    @memories, @project, @side, @way = memories, project, side == "target" ? "target" : "source", way
    @words = text.to_s.scan(/[[:alnum:]\p{M}]+/).first(12)
  end

  # {"hits" => [{…}], "more" => are there more?}. Hits of the project come first,
  # those not translated yet last.
  def to_h
    return { hits: [], more: false } if @words.empty?

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

    ids, names = @memories.map(&:id).join(","), @memories.to_h { |memory| [memory.id, memory.name] }
    rows =
      Memory::Index.select(
        "SELECT #{COLUMNS} FROM memory_texts t CROSS JOIN memory_units u ON u.id = t.rowid WHERE " \
          "memory_texts MATCH ? AND +u.memory_id IN (#{ids}) ORDER BY t.rowid DESC LIMIT #{LIMIT + 1}",
        [query]
      )
    rows
      .sort_by(&:last)
      .reverse
      .map do |unit, memory, source, target, author, client, subject, project, changed|
        about = {
          memory: names[memory],
          memory_id: memory,
          unit: unit,
          author: author,
          client: client,
          subject: subject,
          project: project,
          changed_at: "#{changed.to_s[0, 19].tr(" ", "T")}Z"
        }
        hit(Glossema::Content.plain(source), Glossema::Content.plain(target), target, kind: "memory", **about)
      end
  end

  def of_project
    return [] unless @project

    @project
      .segments
      .where(Segment.arel_table[@side].matches("%#{Segment.sanitize_sql_like(rarest)}%"))
      .joins(:document)
      .order("documents.position", :position)
      .limit(2000)
      .filter_map do |segment|
        source, target = Glossema::Content.plain(segment.source), Glossema::Content.plain(segment.target)
        next if marks(@side == "source" ? source : target).empty?

        hit(
          source,
          target,
          segment.target,
          kind: "project",
          segment: segment.id,
          position: segment.position,
          file: segment.document.name,
          state: segment.state
        )
      end
      .first(LIMIT)
  end

  def hit(source, target, written, **about)
    {
      source: source,
      target: target,
      written: written,
      marks: marks(@side == "source" ? source : target),
      side: @side,
      **about
    }
  end

  # The stretch that a segment must hold to be looked at: of a phrase its first word, else the longest one.
  def rarest
    return @words.first if @way == "phrase"

    longest = @words.max_by(&:length)
    @way == "alike" ? longest[0, 5] : longest
  end

  # FTS5 syntax; every word is quoted, so nothing a user types has a meaning of its own there.
  def query
    words =
      @words.map do |word|
        if @way == "alike" && !word.match?(Memory::Index::UNPARTED)
          "\"#{stem(word)}\"*"
        else
          "\"#{Memory::Index.parted(word)}\""
        end
      end
    "#{@side}: #{@way == "phrase" ? "\"#{Memory::Index.parted(@words.join(" "))}\"" : words.join(" AND ")}"
  end

  def stem(word) = word.length > 4 ? word[0, [(word.length / 2.0).ceil, 4].max] : word

  # Places of the words in a text, [[from, to], …]; none where the text is no hit.
  def marks(text)
    return places(text, unparted_pattern) if @words.join.match?(Memory::Index::UNPARTED)
    return marks_in_ascii(text) if text.ascii_only? && @words.all?(&:ascii_only?)

    tokens = places(text, /[[:alnum:]\p{M}]+/).map { |from, to| [folded(text[from...to]), from, to] }
    @way == "phrase" ? runs_in(tokens) : words_in(tokens)
  end

  def folded(string)
    return string.downcase if string.ascii_only?

    string.downcase.unicode_normalize(:nfkd).gsub(/[\u0300-\u036f]/, "")
  end

  def unparted_pattern = /#{@words.map { |word| Regexp.escape(word) }.join(".{0,3}")}/i

  # Where the words follow each other.
  def runs_in(tokens)
    wanted = @words.map { |word| folded(word) }
    runs = tokens.each_cons(wanted.size).select { |run| run.map(&:first) == wanted }
    runs.map { |run| [run.first[1], run.last[2]] }
  end

  # Where any of them stands, if all of them do somewhere.
  def words_in(tokens)
    wanted = @words.map { |word| folded(word) }
    same = ->(token, word) { @way == "alike" ? token.start_with?(stem(word)) : token == word }
    return [] unless wanted.all? { |word| tokens.any? { |token, _, _| same.call(token, word) } }

    found = tokens.select { |token, _, _| wanted.any? { |word| same.call(token, word) } }
    found.map { |_, from, to| [from, to] }
  end

  # The same by one pattern, where nothing need be folded but case.
  def marks_in_ascii(text)
    words = @words.map { |word| @way == "alike" ? "#{stem(word)}[a-z0-9]*" : word }
    @pattern ||= /(?<![a-z0-9])(?:#{words.join(@way == "phrase" ? "[^a-z0-9]+" : "|")})(?![a-z0-9])/i
    @each ||= words.map { |word| /(?<![a-z0-9])#{word}(?![a-z0-9])/i }
    @way == "phrase" || @each.all? { |pattern| text.match?(pattern) } ? places(text, @pattern) : []
  end

  def places(text, pattern) =
    [].tap { |list| text.scan(pattern) { list << [Regexp.last_match.begin(0), Regexp.last_match.end(0)] } }
end
