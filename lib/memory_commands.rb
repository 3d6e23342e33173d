# The commands of bin/glossema that read or write memories, in the database of the application.
require "glossema/cli"
require_relative "parallel_map"

class MemoryCommands < Glossema::Cli
  COMMANDS = %w[memory count complete pretranslate].freeze
  ACTIONS = %w[create import export lookup list].freeze

  # Loads the application and prepares its data folder where there is none yet; then runs the command. Returns
  # the exit status.
  def self.start(arguments, input, output, errors)
    ENV["RAILS_ENV"] ||= "production"
    ENV["GLOSSEMA_COMMAND"] = "1"
    ENV["BUNDLE_GEMFILE"] ||= File.expand_path("../Gemfile", __dir__)
    prepare
    new(arguments, input, output, errors).run
  rescue ActiveRecord::ActiveRecordError, SystemCallError => e
    errors.puts("The data folder #{GlossemaApp::DATA} cannot be used: #{e.message.lines.first.strip}.")
    REFUSED
  end

  def self.prepare
    require_relative "../config/environment"
    Rails.logger.level = :error
    ActiveRecord.dump_schema_after_migration = false
    context = ActiveRecord::Base.connection_pool.migration_context
    return if File.exist?(ActiveRecord::Base.connection_db_config.database) && !context.needs_migration?

    GlossemaApp::DATA.mkpath
    said, $stdout = $stdout, StringIO.new
    ActiveRecord::Tasks::DatabaseTasks.prepare_all
  ensure
    $stdout = said if said
  end

  def memory
    action = argument("What to do with the memory")
    unless ACTIONS.include?(action)
      return refuse("There is nothing called “memory #{action}”: #{ACTIONS.join(", ")}.")
    end

    send("memory_#{action}")
  end

  # A file translated ahead from memories, as XLIFF 2.1.
  def pretranslate
    path = argument("FILE")
    languages = [need(:source_lang, "--source-lang"), need(:target_lang, "--target-lang")]
    output = @options[:output] or raise Glossema::Refused.new("usage.missing", name: "-o OUT.xlf")
    memories = (@options[:memories].to_a + @arguments).map { |name| named(name) }
    if memories.empty? && @options[:machine].nil?
      raise Glossema::Refused.new("usage.missing", name: "--memory NAME")
    end

    opened = document(path)
    found = pretranslated(opened, memories, languages)
    rows = opened.segments.zip(found).map { |segment, result| bilingual(segment, result) }
    File.write(output, Glossema::Exchange::Xliff.write(@file_name, languages, rows))
    kinds = found.map { |result| result ? result.kind : "none" }.tally
    say(
      "segments" => rows.size,
      "words" => opened.segments.sum { |segment| Glossema::Counting::Count.count(segment.content).words },
      "origins" => Glossema::Pretranslation::KINDS.to_h { |kind| [kind, kinds.fetch(kind, 0)] }
    )
    DONE
  end

  # What may follow each prefix, in its target language.
  def complete
    memory = named(argument("MEMORY"))
    languages = [need(:source_lang, "--source-lang"), need(:target_lang, "--target-lang")]
    terms = if @options[:termbase]
      Glossema::Terms::Finder.new(languages[0],
        termbase(@options[:termbase], languages))
    else
      nil
    end
    model = Memory::Learned.model(memory)
    ahead = nil
    @input.each_line do |line|
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      asked = JSON.parse(line)
      source = asked["source"].to_s
      ahead = [source, looked_ahead(model, source, terms, languages)] unless ahead&.first == source
      offers = ahead.last.offers(asked["prefix"].to_s, limit: (@options[:limit] || 5).clamp(1, 50))
      spent = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
      say("ms" => spent.round(2), "completions" => offers.map(&:text))
    end
    DONE
  end

  private

  def pretranslated(opened, memories, languages)
    Glossema::Forms::Dates.prepare(*languages)
    lookup = Glossema::Matching::Lookup.new(memories.map { |memory| Memory::Store.new(memory) },
      terms: Memory::KnownTerms.new(memories))
    ahead = Glossema::Pretranslation.new(lookup, threshold: @options[:threshold] || 75,
      machine: machine(languages))
    ahead.results(queries(opened, languages)) { |list, best| ParallelMap.map(list, &best) }
  end

  # The service at the address that was given, or nil; its key stands in MT_KEY.
  def machine(languages)
    address = @options[:machine] or return
    service = Machine.lists(address, ENV.fetch("MT_KEY", "stand-in"))
    Machine::Connector.new(service, source_lang: languages[0], target_lang: languages[1])
  end

  def bilingual(segment, result)
    Glossema::Exchange::Xliff::Row.new(
      id: segment.id, unit: segment.unit.id, source: segment.content, note: segment.unit.note,
      target: result&.target, state: result ? "draft" : "untouched",
      origin: result && { "kind" => result.kind, "score" => result.score, "memory" => result.memory,
                          "source" => result.source }
    )
  end

  # A query for each segment of a document, with its neighbours.
  def queries(opened, languages)
    keys = opened.segments.map { |segment| TranslationUnit.hash_of(segment.content) }
    opened.segments.each_with_index.map do |segment, index|
      Glossema::Matching::Query.new(
        content: segment.content, source_lang: languages[0], target_lang: languages[1],
        previous: index.zero? ? nil : keys[index - 1], next: keys[index + 1], key: segment.unit.key
      )
    end
  end

  def looked_ahead(model, source, finder, languages)
    found = finder ? finder.find(source) : []
    outlook = Glossema::Completion::CompletionContext.gather(
      [model], source,
      terms: found.flat_map { |one| one.entry.in(languages[1]).flat_map(&:usable).map(&:written) }.uniq,
      carried: Glossema::Forms::Carried.in(source, *languages).map(&:target)
    )
    Glossema::Completion::Ahead.new(outlook)
  end

  def more_options(parser)
    parser.on("--against MEMORY") { |value| @options[:against] = value }
    parser.on("--threshold N", Integer) { |value| @options[:threshold] = value.clamp(1, 100) }
    parser.on("--machine URL") { |value| @options[:machine] = value }
    parser.on("--memory NAME") { |value| (@options[:memories] ||= []) << value }
    parser.on("--different WAY", %w[both newer]) { |value| @options[:different] = value }
  end

  def memory_create
    name = argument("NAME")
    source, target = need(:source_lang, "--source-lang"), need(:target_lang, "--target-lang")
    if Memory.present.exists?(name: name)
      raise Glossema::Refused.new("name-taken", name: name)
    end

    made = Memory.create!(name: name, source_lang: source, target_lang: target, user: User.order(:id).first)
    say("id" => made.id, "name" => name, "source_lang" => source, "target_lang" => target)
    DONE
  rescue ActiveRecord::RecordInvalid => e
    raise Glossema::Refused.new("memory-invalid", faults: e.record.errors.full_messages.join(". "))
  end

  def memory_list
    Memory
      .present
      .order(:name)
      .each do |one|
        say(
          "id" => one.id,
          "name" => one.name,
          "source_lang" => one.source_lang,
          "target_lang" => one.target_lang,
          "units" => one.units.count
        )
      end
    DONE
  end

  def memory_import
    memory, path = named(argument("NAME")), argument("FILE")
    raise Glossema::Refused.new("missing", path: path) unless File.file?(path)

    @file_name = File.basename(path)
    columns = @options[:format].empty? ? {} : { "columns" => @options[:format] }
    import = Operations::UnitImport.create!(
      subject: memory, weight: "bulk", summary: @file_name,
      input: { "different" => @options[:different] || "both", "file" => @file_name, **columns }
    )
    facts = File.open(path, "rb") { |io| import.run_with(io) }
    facts["faults"].each do |fault|
      @errors.puts(
        "#{@file_name}, line #{fault["line"] || fault[:line]}: #{fault["message"] || fault[:message]}."
      )
    end
    say(facts.slice("read", "added", "same", "updated", "skipped").merge("faults" => facts["faults"]))
    facts["faults"].empty? ? DONE : NO
  end

  # TMX on standard output, or with -o into a file.
  def memory_export
    memory = named(argument("NAME"))
    pairs = memory.units.find_each(batch_size: 1000).lazy.map(&:to_pair)
    write = ->(io) do
      Glossema::Exchange::Tmx.write(
        io,
        pairs,
        source_lang: memory.source_lang,
        target_lang: memory.target_lang
      )
    end
    return write.call(@output) && DONE unless @options[:output]

    File.open(@options[:output], "w", encoding: "UTF-8", &write)
    say("units" => memory.units.count)
    DONE
  end

  def memory_lookup
    memory = named(argument("NAME"))
    lookup = Glossema::Matching::Lookup.new([Memory::Store.new(memory)], terms: Memory::KnownTerms.new([memory]))
    Glossema::Forms::Dates.prepare(memory.source_lang, memory.target_lang)
    @input.each_line(chomp: true) do |line|
      raise Glossema::Refused.new("encoding.standard-input") unless line.valid_encoding?

      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      found =
        lookup.matches(
          query(Glossema::Content.from_written(line), memory),
          threshold: @options[:threshold] || 70,
          limit: (@options[:limit] || 5).clamp(1, 100)
        )
      spent = (Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000
      say("ms" => spent.round(2), "matches" => found.map { |match| row(match) })
    end
    DONE
  end

  def row(match)
    {
      "score" => match.score,
      "kind" => match.kind,
      "source" => match.candidate.source.written,
      "target" => match.target.written,
      "stored_target" => match.candidate.target.written,
      "penalties" => match.penalties.map { |reason, points| { "reason" => reason, "points" => points } }
    }
  end

  def query(content, memory, **more) =
    Glossema::Matching::Query.new(
      content: content,
      source_lang: memory.source_lang,
      target_lang: memory.target_lang,
      **more
    )

  def matched(opened, name)
    return super unless name

    memory = known[name]
    lookup = Glossema::Matching::Lookup.new([Memory::Store.new(memory)])
    found =
      ParallelMap.map(queries(opened, [memory.source_lang, memory.target_lang])) do |query|
        match = lookup.best(query, Glossema::Counting::Bands::FLOORS.keys)
        match && Glossema::Matching::Match.new(kind: match.kind, score: match.score, raw: match.raw)
      end
    opened.segments.map(&:content).zip(found)
  end

  def known = @known ||= Hash.new { |all, name| all[name] = named(name) }

  # A memory by its name. What a crash left of its index is mended first.
  def named(name)
    found = Memory.present.where(name: name).to_a
    if found.empty?
      raise Glossema::Refused.new("memory-unknown", name: name, folder: GlossemaApp::DATA)
    end
    if found.size > 1
      raise Glossema::Refused.new("memory-ambiguous", count: found.size, name: name)
    end

    found.first.tap(&:repair)
  end
end
