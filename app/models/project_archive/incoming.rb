# An archive opened: every record with a number of its own here, and what names a record naming the new one.
class ProjectArchive::Incoming
  def initialize(package, name)
    @package, @name = package, name
    @tables = package.paths.include?("records/operations.jsonl") ? self : ProjectArchive::Earlier.new(self)
    @numbers = Hash.new { |all, table| all[table] = {} }
  end

  def look = whole { preview }

  # To be opened as part of an operation, see Operations::PackageImport.
  def opening(operation)
    @operation, @user = operation, operation.user
    self
  end

  # Makes all of it, out of sight.
  def run
    whole do
      check_all
      put_all
    end
    @operation.enter("memories")
    made(Memory).each { |memory| index(memory) }
    made(Document).each { |document| draw(document) }
  end

  # All of it is there, as it was where it comes from.
  def reveal
    hidden.each do |model|
      names = rows(model.table_name).to_h { |row| [@numbers[model.table_name][row["id"]], row] }
      made(model).each { |record| reveal_one(record, names[record.id]) if Staging.hidden?(record) }
    end
  end

  def project = Project.find(@numbers["projects"].values.first)
  def follow_up = project.announce("counted")

  # The number in the package of what a tag names.
  def key_of(_word, id) = id

  # The rows of a table, as they stand in the package.
  def stored(table)
    text = @package.part(ProjectArchive.part(table)).dup.force_encoding("UTF-8")
    text.each_line.map { |line| ProjectArchive.with_todays_columns(table, JSON.parse(line)) }
  end

  private

  # The kinds of records that are seen by themselves.
  def hidden = [Client, Memory, Termbase, Project]
  def made(model) = model.where(id: @numbers[model.table_name].values)

  def reveal_one(record, row)
    Staging.reveal(record, at: row["deleted_at"], **free_again(record))
  end

  # Its name was free when it was made, and may have been given since.
  def free_again(record)
    taken = record.is_a?(Memory) && Memory.present.exists?(user_id: @user.id, name: record.name)
    taken ? { name: free(Memory, "name", record.name) } : {}
  end

  # What a broken record says, told as one thing: nothing was taken.
  BROKEN = [JSON::ParserError, KeyError, TypeError, NoMethodError, ArgumentError, EncodingError,
            ProjectArchive::Schema::Damaged, ActiveRecord::ActiveRecordError, SQLite3::Exception].freeze

  def whole
    yield
  rescue *BROKEN => e
    Rails.logger.error(FaultTold.describe(e))
    raise Glossema::Refused.new("package-damaged", name: @name)
  end

  # Nothing is written before all of it has been looked at.
  def check_all
    check_about
    models.each do |model|
      schema = ProjectArchive::Schema.new(model)
      rows(model.table_name).each { |row| schema.check(row) }
      @operation.checkpoint
    end
  end

  def check_about
    return if Glossema::DataShape.fits?(ProjectArchive::Schema::ABOUT, about)

    raise ProjectArchive::Schema::Damaged, "about"
  end

  def preview
    check_about
    given = about.fetch("project")
    { from: about["from"], task: "", instructions: "", archive: true, client: nil, due_at: nil,
      **given.symbolize_keys, files: names_of("documents").map { |name| { name: name, words: 0 } },
      words: about["words"], segments: about["segments"], memories: names_of("memories"),
      termbases: names_of("termbases") }
  end

  def put_all
    @operation.enter("records", total: models.sum { |model| rows(model.table_name).size })
    models.each { |model| put_table(model) }
    Segment.where(project_id: made(Project)).confirmed_empty.update_all(state: "untouched")
    name_later
    about["blobs"].each do |blob|
      @operation.checkpoint
      attach(blob)
    end
    restamp
  end

  def put_table(model)
    return rows(model.table_name).each { |row| put_hidden(model, row) } if hidden.include?(model)

    done = @operation.done
    ShortTransaction.each(rows(model.table_name)) do |row|
      put(model, row) unless of_another_memory?(model, row)
      @operation.progress(done) if ((done += 1) % 100).zero?
    end
    @operation.progress(done)
  end

  # How a unit was in a memory that is not in the package, as before a merge, cannot be undone here.
  def of_another_memory?(model, row)
    return false unless model == TranslationUnitVersion && row["before"]

    number("memories", JSON.parse(row["before"])["memory_id"]).nil?
  end

  def put_hidden(model, row)
    known = @user.clients.find_by(name: row["name"]) if model == Client
    # A client of the same name is the same one.
    return @numbers["clients"][row["id"]] = known.id if known

    @operation.making { model.find(put(model, row, Staging::HIDDEN)) }
  end

  def index(memory)
    @operation.checkpoint
    ShortTransaction.each(memory.units.pluck(:id, :source, :target)) { |row| Memory::Index.put_text(*row) }
    memory.reindex
  end

  # A page is never taken from outside.
  def draw(document)
    @operation.checkpoint
    Document.no_touching { document.keep_page(document.opened) } if document.ready?
  rescue Glossema::Refused
    nil
  end

  def about = @package.about
  def models = @models ||= ProjectArchive.scopes(Project.new).keys
  def names_of(table) = rows(table).pluck("name")

  def rows(table) = (@rows ||= {})[table] ||= @tables.stored(table)

  # Returns the number of the row here. over: values other than those of the row.
  def put(model, row, over = {})
    known = row.slice(*model.column_names).except("id")
    values = known.to_h { |column, value| [column, here(model, column, value, row)] }
    hidden = over.to_h { |column, at| [column.to_s, at.to_fs(:db)] }
    @numbers[model.table_name][row["id"]] = insert(model, values.merge(hidden))
  end

  def insert(model, values)
    columns = values.keys.map { |name| model.connection.quote_column_name(name) }.join(", ")
    marks = (["?"] * values.size).join(", ")
    raw = model.connection.raw_connection
    raw.execute("INSERT INTO #{model.quoted_table_name} (#{columns}) VALUES (#{marks})", values.values)
    raw.last_insert_row_id
  end

  # A value as it stands in this database.
  def here(model, column, value, row)
    return SQLite3::Blob.new(value["base64"].unpack1("m")) if value.is_a?(Hash)
    return user_of(model, value) if column == "user_id"
    # Nobody is invited on another Glossema.
    return nil if column == "guest_id"
    return nil if ProjectArchive::LATER.dig(model.table_name, column)
    return named(column, value, row) if table_named_by(column, row)
    return free_token(value) if column == "token"
    return free(model, column, value) if ALONE[model.table_name] == column

    value.is_a?(String) && json?(model, column) ? inside(model, column, value, row) : value
  end

  def named(column, value, row)
    column == "unit_id" ? number_of_unit(value) : number(table_named_by(column, row), value)
  end

  # The table whose records a column holds numbers of, or nil.
  def table_named_by(column, row)
    column == "subject_id" ? row["subject_type"].tableize : ProjectArchive::COLUMNS[column]
  end

  # What no two records of a person may share.
  ALONE = { "memories" => "name", "quotes" => "number" }.freeze

  def free(model, column, value)
    names = [value].lazy + (2..).lazy.map { |count| "#{value} (#{count})" }
    names.find { |name| !model.exists?(user_id: @user.id, column => name) }
  end

  def number(table, value) = value && @numbers[table][value]

  # A unit that was deleted, and whose history is there, has a number that nothing else is given.
  def number_of_unit(value)
    @numbers["translation_units"][value] ||= begin
      connection = TranslationUnit.connection
      name = connection.quote(TranslationUnit.table_name)
      if connection.update("UPDATE sqlite_sequence SET seq = seq + 1 WHERE name = #{name}").zero?
        connection.execute("INSERT INTO sqlite_sequence (name, seq) VALUES (#{name}, 1)")
      end
      connection.select_value("SELECT seq FROM sqlite_sequence WHERE name = #{name}")
    end
  end

  def user_of(model, value) = value && (model.columns_hash["user_id"].null && other?(value) ? nil : @user.id)
  def other?(value) = about["people"].key?(value.to_s) && about["people"][value.to_s] != about["from"]
  def json?(model, column) = model.columns_hash[column].type == :json
  def free_token(value) = ReviewRound.exists?(token: value) ? SecureRandom.hex(8) : value

  # {"table.column" => what numbers the records inside of its JSON anew, given that and the row}
  INSIDE_OF = {
    "segments.origin" => ->(data, _) { origin(data) },
    "versions.origin" => ->(data, row) { author(origin(data), row) },
    "translation_unit_versions.before" => ->(data, _) { unit_before(data) },
    "clients.memories" => ->(data, _) { renumber(data, "memory_id", "memories") },
    "clients.termbases" => ->(data, _) { renumber(data, "termbase_id", "termbases") },
    "review_rounds.base" => ->(data, _) { keyed(data, "segments") },
    "review_rounds.options" => ->(data, _) { not_returned(data) },
    "projects.hand_over" => ->(data, _) { sent(data) }
  }.freeze

  # Numbers of records inside of what is kept as JSON.
  def inside(model, column, value, row)
    data = JSON.parse(value)
    way = INSIDE_OF["#{model.table_name}.#{column}"]
    JSON.generate(way ? instance_exec(data, row, &way) : data)
  end

  UNIT_NAMES = { "memory_id" => "memories", "segment_id" => "segments", "import_id" => "operations" }.freeze

  def unit_before(data)
    data && { **data, **UNIT_NAMES.to_h { |column, table| [column, number(table, data[column])] } }
  end

  def sent(data) = data && { **data, "ids" => keyed(data["ids"], "documents") }

  # Those of a client that are not in the archive are left out.
  def renumber(list, column, table)
    list.each { |one| one[column] = number(table, one[column]) }
    list.select { |one| one[column] }
  end

  def not_returned(options)
    ids = options["gone"] or return options
    { **options, "gone" => ids.filter_map { |id| number("segments", id) } }
  end

  def keyed(data, table) = data.to_h.transform_keys { |key| number(table, key.to_i).to_s }

  # Segments and operations come in an order in which some are not known yet: those are renumbered at the end.
  def origin(data)
    data["unit"] = number("translation_units", data["unit"]) if data["unit"]
    data
  end

  # Who wrote a version that has no account here.
  def author(data, row)
    name = about["people"][row["user_id"].to_s]
    row["user_id"] && other?(row["user_id"]) ? { **data, "author" => data["author"] || name } : data
  end

  def name_later
    ProjectArchive::LATER.each do |table, columns|
      known = model_of(table)
      columns.each do |column, other|
        rows(table).each do |row|
          named = number(other, row[column]) or next
          known.where(id: @numbers[table][row["id"]]).update_all(column => named)
        end
      end
    end
  end

  def model_of(table) = models.find { |model| model.table_name == table }

  # Once all have their numbers: tags of operations, repeats, what operations are about, and what is let
  # stand.
  def restamp
    [Segment, Version].each do |model|
      named = made(model).where("origin LIKE '%\"act\"%' OR origin LIKE '%\"from\"%'")
      ShortTransaction.each(named.to_a) { |row| row.update_columns(origin: retold(row.origin)) }
    end
    ShortTransaction.each(made(Operation).to_a) { |operation| renumber_operation(operation) }
    ShortTransaction.each(made(IgnoredFinding).includes(:segment).to_a) { |stand| redigest(stand) }
  end

  def renumber_operation(operation)
    columns = %w[input result before].index_with { |name| renumbered(operation[name], operation.kind) }
    columns["before"] = keyed(columns["before"], "review_changes") if operation.kind == "review_decision"
    operation.update_columns(columns)
  end

  # Numbers of records in what an operation keeps.
  INSIDE = { "document_id" => "documents", "delivery_id" => "deliveries", "from" => "memories",
             "round_id" => "review_rounds" }.freeze

  # What the ids of operations of a kind name, where it is no segments.
  IDS = { "review_decision" => "review_changes" }.freeze

  def renumbered(data, kind)
    changed = INSIDE.filter_map { |key, table|
      [key, number(table, data[key])] if data[key].is_a?(Integer)
    }.to_h
    table = IDS.fetch(kind, "segments")
    changed["ids"] = data["ids"].map { |id| number(table, id) } if data["ids"].is_a?(Array)
    data.merge(changed)
  end

  def retold(origin)
    given, id = origin["act"].to_s.split("-", 2)
    word = ProjectArchive::Earlier::TAGS.include?(given) ? "op" : given
    table = ProjectArchive::TAGS[word]
    here = table && number(table, @tables.key_of(given, id.to_i))
    origin["act"] = "#{word}-#{here}" if here
    origin["from"] = number("segments", origin["from"]) if origin["from"]
    origin
  end

  # What is let stand in one place is told by the number of its segment.
  def redigest(stand) = stand.segment && stand.redigest

  def attach(blob)
    model = models.find { |one| one.name == blob["type"] }
    id = model && @numbers[model.table_name][blob["record"]]
    return if id.nil? || ProjectArchive::Out::LEFT_OUT.include?(blob["name"])

    type = blob["content_type"]
    # Nothing else that came from outside is told to a browser as what it says it is.
    type = "application/octet-stream" unless Project::SHOWN_BY_BROWSERS.include?(type)
    made = BytesFirst.store(io: StringIO.new(@package.part(blob["path"])),
      filename: blob["filename"], content_type: type)
    ActiveStorage::Attachment.insert({ name: blob["name"], record_type: blob["type"], record_id: id,
                                       blob_id: made.id, created_at: Time.current })
  end
end
