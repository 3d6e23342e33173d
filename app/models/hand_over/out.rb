# The package of a round: originals, text, memories, terms, rules, reference files, and what is to be done.
class HandOver::Out
  # segments: of the round, in text order.
  def initialize(round, segments)
    @round, @project, @segments = round, round.project, segments
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
    original, text = "originals/#{number}-#{document.name}", "#{HandOver::TEXTS}#{number}.xlf"
    parts[original] = document.original.download
    parts[text] = HandOver.text_of(document.name, @round.token, languages, own.map { |one| row(one) })
    { "name" => document.name, "original" => original, "text" => text, "by" => document.by,
      "options" => document.options, "breaks" => document.breaks, "hand" => document.hand,
      "words" => own.sum(&:words), "keys" => own.to_h { |segment| [segment.key, segment.id] } }
  end

  def row(segment)
    Glossema::Review::Row.new(id: segment.id, number: segment.position, source: segment.source_content,
      target: segment.target_content, state: segment.state, notes: [segment.note].compact_blank)
  end

  def memories(parts)
    return [] unless options["memories"]

    @project.attachments.usable.includes(:memory).each_with_index.map do |attached, index|
      memory, path = attached.memory, "memories/#{index + 1}.tmx"
      out = StringIO.new
      Glossema::Exchange::Tmx.write(out, memory.units.find_each.lazy.map(&:to_pair),
        source_lang: memory.source_lang, target_lang: memory.target_lang)
      parts[path] = out.string
      { "name" => memory.name, "path" => path, "source_lang" => memory.source_lang,
        "target_lang" => memory.target_lang }
    end
  end

  def termbases(parts)
    return [] unless options["termbases"]

    @project.attached_termbases.usable.includes(:termbase).each_with_index.map do |attached, index|
      path = "terms/#{index + 1}.tbx"
      parts[path] = Termbase::Export.new(attached.termbase).bytes("tbx")
      { "name" => attached.termbase.name, "path" => path, "checks" => attached.checks }
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
