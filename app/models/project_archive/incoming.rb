# An archive opened: every record with a number of its own here, and what names a record naming the new one.
class ProjectArchive::Incoming
  def initialize(package, name)
    @package, @name = package, name
    @numbers = Hash.new { |all, table| all[table] = {} }
  end

  def look = whole { told }

  # Returns the project.
  def take(user)
    @user = user
    whole { ActiveRecord::Base.transaction { put_all } }
    Memory.where(id: @numbers["memories"].values).find_each { |memory| index(memory) }
    Document.where(id: @numbers["documents"].values).find_each { |document| draw(document) }
    Project.find(@numbers["projects"].values.first)
  end

  private

  # What a broken record says, told as one thing: nothing was taken.
  BROKEN = [JSON::ParserError, KeyError, TypeError, NoMethodError, ActiveRecord::ActiveRecordError,
            SQLite3::Exception].freeze

  def whole
    yield
  rescue *BROKEN
    raise Glossema::Refused.new("package-damaged", name: @name)
  end

  def told
    given = about.fetch("project")
    { from: about["from"], task: "", instructions: "", archive: true, client: nil, due_at: nil,
      **given.symbolize_keys, files: names_of("documents").map { |name| { name: name, words: 0 } },
      words: about["words"], segments: about["segments"], memories: names_of("memories"),
      termbases: names_of("termbases") }
  end

  def put_all
    models.each { |model| rows(model.table_name).each { |row| put(model, row) } }
    name_later
    about["blobs"].each { |blob| attach(blob) }
    restamp
  end

  def index(memory)
    memory.units.in_batches(of: MemoryChange::STEP) do |batch|
      Memory.transaction do
        batch.each { |unit| Memory::Index.put_text(unit.id, unit.source, unit.target) }
      end
    end
    memory.reindex
  end

  # A page is never taken from outside.
  def draw(document)
    Document.no_touching { document.keep_page(document.opened) } if document.ready?
  rescue Glossema::Refused
    nil
  end

  def about = @package.about
  def models = @models ||= ProjectArchive.scopes(Project.new).keys
  def names_of(table) = rows(table).pluck("name")

  def rows(table)
    @rows ||= {}
    @rows[table] ||= begin
      text = @package.part("records/#{table}.jsonl").dup.force_encoding("UTF-8")
      text.each_line.map { |line| JSON.parse(line) }
    end
  end

  # A client of the same name is the same one.
  def put(model, row)
    if model == Client && (known = @user.clients.find_by(name: row["name"]))
      return @numbers["clients"][row["id"]] = known.id
    end

    known = row.slice(*model.column_names).except("id")
    values = known.to_h { |column, value| [column, here(model, column, value, row)] }
    @numbers[model.table_name][row["id"]] = insert(model, values)
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
    return number(ProjectArchive::COLUMNS[column], value) if ProjectArchive::COLUMNS.key?(column)
    return free_token(value) if column == "token"
    return free(model, column, value) if ALONE[model.table_name] == column

    value.is_a?(String) && json?(model, column) ? inside(model, column, value, row) : value
  end

  # What no two records of a person may share.
  ALONE = { "memories" => "name", "quotes" => "number" }.freeze

  def free(model, column, value)
    names = [value].lazy + (2..).lazy.map { |count| "#{value} (#{count})" }
    names.find { |name| !model.exists?(user_id: @user.id, column => name) }
  end

  def number(table, value) = value && @numbers[table][value]
  def user_of(model, value) = value && (model.columns_hash["user_id"].null && other?(value) ? nil : @user.id)
  def other?(value) = about["people"].key?(value.to_s) && about["people"][value.to_s] != about["from"]
  def json?(model, column) = model.columns_hash[column].type == :json
  def free_token(value) = ReviewRound.exists?(token: value) ? SecureRandom.hex(8) : value

  # Numbers of records inside of what is kept as JSON.
  def inside(model, column, value, row)
    data = JSON.parse(value)
    case [model.table_name, column]
    when %w[segments origin] then data = origin(data)
    when %w[versions origin] then data = author(origin(data), row)
    when %w[clients memories] then renumber(data, "memory_id", "memories")
    when %w[clients termbases] then renumber(data, "termbase_id", "termbases")
    when %w[review_rounds base] then data = keyed(data, "segments")
    when %w[projects hand_over] then data = sent(data)
    when %w[project_acts before] then data = before(data)
    end
    JSON.generate(data)
  end

  def sent(data) = data && { **data, "ids" => keyed(data["ids"], "documents") }

  # Those of a client that are not in the archive are left out.
  def renumber(list, column, table)
    list.each { |one| one[column] = number(table, one[column]) }
    list.select! { |one| one[column] }
  end

  def keyed(data, table) = data.to_h.transform_keys { |key| number(table, key.to_i).to_s }

  def before(data)
    changed = { "document_id" => data["document_id"] && number("documents", data["document_id"]),
                "ids" => data["ids"]&.map { |id| number("segments", id) } }
    { **data, **changed.compact }
  end

  # Segments and acts come in an order in which some are not known yet: they are told anew at the end.
  def origin(data)
    data["unit"] = number("memory_units", data["unit"]) if data["unit"]
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

  # Once all have their numbers: tags of acts, repeats, and what is let stand.
  def restamp
    [Segment, Version].each do |model|
      own = model.where(id: @numbers[model.table_name].values)
      named = own.where("origin LIKE '%\"act\"%' OR origin LIKE '%\"from\"%'")
      named.find_each { |row| row.update_columns(origin: retold(row.origin)) }
    end
    LetStand.where(id: @numbers["let_stands"].values).includes(:segment).find_each { |stand| redigest(stand) }
  end

  def retold(origin)
    word, id = origin["act"].to_s.split("-", 2)
    table = ProjectArchive::TAGS[word]
    origin["act"] = "#{word}-#{number(table, id.to_i)}" if table && number(table, id.to_i)
    origin["from"] = number("segments", origin["from"]) if origin["from"]
    origin
  end

  # What is let stand in one place is told by the number of its segment.
  def redigest(stand)
    return unless stand.segment

    finding = { "code" => stand.code, "message" => stand.message }
    stand.update_columns(digest: LetStand.digest_of(stand.segment, finding))
  end

  def attach(blob)
    model = models.find { |one| one.name == blob["type"] }
    id = model && @numbers[model.table_name][blob["record"]]
    return if id.nil? || ProjectArchive::Out::LEFT_OUT.include?(blob["name"])

    type = blob["content_type"]
    # Nothing else that came from outside is told to a browser as what it says it is.
    type = "application/octet-stream" unless Project::SHOWN_BY_BROWSERS.include?(type)
    made = ActiveStorage::Blob.create_and_upload!(io: StringIO.new(@package.part(blob["path"])),
      filename: blob["filename"], content_type: type, identify: false)
    ActiveStorage::Attachment.insert({ name: blob["name"], record_type: blob["type"], record_id: id,
                                       blob_id: made.id, created_at: Time.current })
  end
end
