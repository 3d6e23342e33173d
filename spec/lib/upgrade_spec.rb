# A database of every earlier state, with something in each of its tables, is brought up to what it is now.
RSpec.describe "Upgrades" do
  root = Rails.root.join("db/migrate")
  versions = Dir[root.join("*.rb")].map { |path| File.basename(path)[/\A\d+/].to_i }.sort

  self.use_transactional_tests = false

  let(:folder) { Dir.mktmpdir }

  after do
    ActiveRecord::Base.establish_connection(:primary)
    FileUtils.rm_rf(folder)
  end

  def connect(path)
    ActiveRecord::Base.establish_connection(adapter: "sqlite3", database: path)
    ActiveRecord::Base.connection.execute("PRAGMA foreign_keys = OFF")
  end

  def migrate(root, to = nil)
    ActiveRecord::Migration.suppress_messages { ActiveRecord::MigrationContext.new(root).migrate(to) }
  end

  VALUES = { "integer" => "1", "real" => "1.0", "boolean" => "0", "json" => "'{}'", "blob" => "x'00'" }.freeze
  # A row in every table that is not there by itself, of plain values.
  def fill
    connection = ActiveRecord::Base.connection
    tables.each do |table|
      next if connection.select_value("SELECT COUNT(*) FROM \"#{table}\"").positive?

      needed = connection.columns(table).reject { |column|
        column.name == "id" || (column.null || column.default)
      }
      names = needed.map { |column| "\"#{column.name}\"" }
      values = needed.map { |column| VALUES[column.sql_type.downcase[/\A[a-z]+/]] || "'#{sample(column)}'" }
      into = names.empty? ? "DEFAULT VALUES" : "(#{names.join(", ")}) VALUES (#{values.join(", ")})"
      connection.execute("INSERT INTO \"#{table}\" #{into}")
    end
  end

  # What a file held when the first version of the readers read it.
  frozen = Rails.root.join("core/spec/frozen/1/quickstart.txt").to_s
  STORED = JSON.parse(File.read("#{frozen}.frozen"))["segments"]
  # From this state on texts are folded.
  FOLDED = 20261201190000
  # From this one tables have other names.
  RENAMED = 20261202010000
  require root.join("#{RENAMED}_rename_after_the_glossary").to_s
  # From this one it is data where a segment stands.
  LOCATED = 20261202020000
  UPGRADED_TIMES = { "start" => "00:00:01,000", "placement" => "top" }.freeze
  UPGRADED_PLACES = {
    "cue 2 · 00:00:01,000 → ? · top" => { "kind" => "cue", "cue" => 2, **UPGRADED_TIMES },
    "table 1 · row 2" => { "kind" => "name", "name" => "table 1 · row 2" }
  }.freeze
  UNIT = ["Die Straße ist co\u00ADoperativ.", "La strada è lunga."].freeze

  # The segments of a real file, and a unit as it was put into the full-text index then.
  def fill_really(version)
    connection = ActiveRecord::Base.connection
    copy = connection.select_one("SELECT * FROM segments LIMIT 1").except("id")
    connection.execute("DELETE FROM segments")
    STORED.each_with_index do |(key, source), index|
      row = copy.merge("key" => key, "source" => source, "position" => index + 1, "state" => "untouched",
        "target" => "")
      place = UPGRADED_PLACES.to_a[index % UPGRADED_PLACES.size]
      row.merge!(version < LOCATED ? { "path" => place.first } : { "location" => place.last.to_json })
      insert("segments", row)
    end
    units = version < RENAMED ? "memory_units" : "translation_units"
    insert(units, connection.select_one("SELECT * FROM #{units} LIMIT 1").except("id")
      .merge("source" => UNIT[0], "target" => UNIT[1]))
    id = connection.select_value("SELECT MAX(id) FROM #{units}")
    insert("memory_texts", "rowid" => id, "source" => version < FOLDED ? UNIT[0] : Glossema::Folding.indexed(UNIT[0]),
      "target" => UNIT[1])
  end

  def insert(table, row)
    connection = ActiveRecord::Base.connection
    names = row.keys.map { |name| "\"#{name}\"" }.join(", ")
    values = row.values.map { |value| connection.quote(value) }.join(", ")
    connection.execute("INSERT INTO #{table} (#{names}) VALUES (#{values})")
  end

  # All of it is where it was, and is found as texts are found now.
  def expect_really
    connection = ActiveRecord::Base.connection
    rows = connection.select_rows("SELECT key, source FROM segments ORDER BY position")
    expect(rows).to eq(STORED)
    places = connection.select_values("SELECT location FROM segments ORDER BY position").map {
      JSON.parse(_1)
    }
    expect(places).to eq(UPGRADED_PLACES.values.cycle.first(places.size))
    found = lambda do |word|
      connection.select_values("SELECT rowid FROM memory_texts WHERE memory_texts MATCH '#{word}'")
    end
    expect([found["strasse"].size, found["cooperativ"].size, found["strada"].size]).to eq([1, 1, 1])
    expect(found["straße"]).to eq([])
  end

  def sample(column) = column.sql_type.match?(/date|time/i) ? "2026-01-01 00:00:00" : "x"

  # Full text tables and those of Rails aside.
  ASIDE = /\A(?:schema_migrations|ar_internal_metadata)\z|memory_(?:texts|postings|parts|fresh)/
  def tables = ActiveRecord::Base.connection.tables.grep_v(ASIDE)

  def counts
    base = ActiveRecord::Base.connection
    tables.to_h { |name| [name, base.select_value("SELECT COUNT(*) FROM \"#{name}\"")] }
  end

  def structure
    ActiveRecord::Base.connection.select_rows(
      "SELECT name, sql FROM sqlite_master WHERE name NOT LIKE 'sqlite_%' ORDER BY name"
    ).to_h { |name, sql| [name, sql.to_s.gsub(/\s+/, " ").gsub("IF NOT EXISTS ", "")] }
  end

  it "come from each of the #{versions.size} states to this one, with all that was in them" do
    states = versions.map { |version| File.join(folder, "#{version}.sqlite3") }
    building = File.join(folder, "building.sqlite3")
    versions.zip(states) do |version, path|
      connect(building)
      migrate(root, version)
      ActiveRecord::Base.connection.disconnect!
      FileUtils.cp(building, path)
    end
    connect(states.last)
    now = structure
    versions.zip(states).each do |version, path|
      connect(path)
      fill
      fill_really(version)
      before = counts.transform_keys { |name| RenameAfterTheGlossary::TABLES.fetch(name, name) }
      migrate(root)
      expect(structure.to_a - now.to_a).to eq([]), path
      expect(structure.keys).to eq(now.keys), path
      kept = before.keys & tables
      expect(counts.slice(*kept)).to eq(before.slice(*kept)), path
      expect(ActiveRecord::Base.connection.select_value("PRAGMA integrity_check")).to eq("ok")
      expect_really
      ActiveRecord::Base.connection.disconnect!
    end
  end

  it "take back the state of what was reviewed without a translation, and its units" do
    connect(File.join(folder, "reviewed.sqlite3"))
    migrate(root, 20261201090000)
    fill
    base = ActiveRecord::Base.connection
    %w[segments versions].each do |table|
      base.execute("UPDATE #{table} SET state = 'reviewed', target = ' \u00A0'")
    end
    base.execute("UPDATE memory_units SET target = ''")
    migrate(root)
    states = %w[segments versions].flat_map { |table| base.select_values("SELECT state FROM #{table}") }
    expect(states).to eq(%w[untouched untouched])
    expect(base.select_value("SELECT COUNT(*) FROM translation_units")).to eq(0)
  end
end
