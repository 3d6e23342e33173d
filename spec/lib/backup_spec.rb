# Everything copied while it runs and laid out again: record by record and byte by byte the same.
require "open3"

RSpec.describe Backup do
  self.use_transactional_tests = false

  let(:root) { Pathname(Dir.mktmpdir) }
  let(:data) { root.join("data").tap(&:mkpath) }
  let(:folder) { root.join("backups") }
  let(:live) { data.join("glossema.sqlite3").to_s }
  # The data folder of a Glossema as it is used: databases in WAL mode, files in their places.
  before do
    user = make_user
    memory = make_memory(user, [["Check the chain.", "Controllare la catena."]])
    project = make_project(user, memories: [{ "memory_id" => memory.id, "learns" => "confirm" }])
    project.segments.first.confirm("La {1}portata{/1}, seggiolino compreso.", origin: { "kind" => "typed" },
      by: user)
    deliver(project, by: user)
    ActiveRecord::Base.connection.execute("VACUUM INTO '#{live}'")
    SQLite3::Database.new(live).execute("PRAGMA journal_mode = WAL")
    ActiveStorage::Blob.find_each do |blob|
      place = Backup::Files.place(data.join("files"), blob.key)
      place.dirname.mkpath
      place.binwrite(blob.download)
    end
    data.join("secret").write("s" * 128)
  end

  after do
    Browsing::TABLES.each { |table| ActiveRecord::Base.connection.execute("DELETE FROM #{table}") }
    FileUtils.rm_rf(root)
  end

  def command(*arguments)
    environment = { "GLOSSEMA_DATA" => data.to_s, "BACKUPS" => folder.to_s, "RAILS_ENV" => nil }
    out, err, status = Open3.capture3(environment, Rails.root.join("bin/glossema").to_s,
      *arguments.map(&:to_s))
    [status.exitstatus, out.empty? ? err.strip : JSON.parse(out)]
  end

  # {table => all its rows}, of virtual tables too.
  def everything(path)
    described_class.reading(path) do |database|
      tables = database.execute("SELECT name FROM sqlite_master WHERE type = 'table'").flatten.sort
      tables.to_h { |name| [name, database.execute("SELECT * FROM \"#{name}\"").sort_by(&:to_s)] }
    end
  end

  def bytes(root) = Dir[File.join(root, "files/**/*")].select { |path| File.file?(path) }
    .to_h { |path| [path.delete_prefix(root.to_s), Digest::SHA256.file(path).hexdigest] }

  it "makes one while somebody writes, and lays it out again with nothing missing and nothing else" do
    stop = false
    writer = Thread.new do
      database = SQLite3::Database.new(live)
      database.busy_timeout = 5000
      until stop
        database.execute("UPDATE segments SET target = target || 'x' WHERE position = 2")
        database.execute("UPDATE projects SET name = (SELECT target FROM segments WHERE position = 2)")
      end
      database.close
    end
    status, told = command("backup")
    stop = true
    writer.join
    expect(status).to eq(0)
    expect(told).to include("files" => ActiveStorage::Blob.count)
    status, = command("restore", told["path"], root.join("again"))
    expect(status).to eq(0)
    again = everything(root.join("again/glossema.sqlite3"))
    # What was written meanwhile is in it whole or not at all.
    expect([again["projects"].size, again["translation_units"].size]).to eq([1, TranslationUnit.count])
    copy = everything(File.join(told["path"], "glossema.sqlite3"))
    expect(again).to eq(copy)
    now = everything(live)
    moving = %w[segments projects]
    expect(again.except(*moving)).to eq(now.except(*moving))
    expect(bytes(root.join("again"))).to eq(bytes(data))
    expect(root.join("again/secret").read).to eq("s" * 128)
    expect(root.join("again/secret").stat.mode & 0o777).to eq(0o600)
    # The application opens it.
    told, = Open3.capture2({ "GLOSSEMA_DATA" => root.join("again").to_s, "RAILS_ENV" => "production" },
      Rails.root.join("bin/rails").to_s, "runner", "puts DeliveredFile.first.content.download.bytesize")
    expect(told.to_i).to eq(DeliveredFile.first.byte_size)
  end

  it "stores a file once, keeps so many, and throws away what none of those left names" do
    first = described_class.new(data, folder).make(keep: 2)
    files = -> { Dir[folder.join("files/*/*")].size }
    count = files.call
    travel(1.day)
    second = described_class.new(data, folder).make(keep: 2)
    expect(files.call).to eq(count)
    SQLite3::Database.new(live).execute("DELETE FROM active_storage_blobs")
    travel(1.day)
    third = described_class.new(data, folder).make(keep: 1)
    expect(described_class.list(folder).pluck("path")).to eq([third])
    expect([first, second].map { |path| File.exist?(path) }).to eq([false, false])
    Dir[folder.join("files/*/*")].each { |path| File.utime(2.days.ago.to_time, 2.days.ago.to_time, path) }
    travel(1.day)
    described_class.new(data, folder).make(keep: 1)
    expect(files.call).to eq(0)
  end

  it "says what is wrong, and changes nothing" do
    _, told = command("backup")
    name = Dir[folder.join("files/*/*")].first
    expect(command("restore", root.join("nowhere"), root.join("x")).last).to include("is no backup")
    expect(command("restore", told["path"], data).last).to include("is not empty; name a new folder.")
    File.binwrite(name, "other")
    status, said = command("restore", told["path"], root.join("x"))
    expect([status, said]).to match([2, include("is not as it was written.")])
    expect(root.join("x")).not_to exist
    FileUtils.rm_rf(folder.join("files"))
    File.open(File.join(told["path"], "glossema.sqlite3"), "r+b") { |file|
      file.seek(5000) && file.write("damage")
    }
    expect(command("backup", "check",
      told["path"]).last).to include("glossema.sqlite3 is not as it was written.")
    expect(command("restore", told["path"]).last).to eq("FOLDER is missing.")
    FileUtils.rm_rf(data)
    status, said = command("backup")
    expect([status, said]).to match([2, include("holds no Glossema")])
    expect(described_class.failure(folder)["message"]).to eq(said)
  end
end
