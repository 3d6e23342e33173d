# Memories through a crash, and with several writers: real processes on a real SQLite file of their own.
require "open3"

RSpec.describe "A memory and its processes" do
  # So many units that an import takes some seconds; the last sentence ends in "lamp".
  LARGE = 6_000

  let(:folder) { Dir.mktmpdir }
  let(:command) { Rails.root.join("bin/glossema").to_s }

  def glossema(*arguments, input: "")
    out, err, status = Open3.capture3(environment, command, *arguments, stdin_data: input)
    [out.lines.map { |line| JSON.parse(line) }, err, status.exitstatus]
  end

  def environment =
    { "GLOSSEMA_DATA" => folder, "RAILS_ENV" => "production", "GLOSSEMA_COMMAND" => nil, "RUBYOPT" => nil }

  def tmx(name, count)
    path = File.join(folder, name)
    units =
      Array.new(count) do |index|
        "<tu><tuv xml:lang=\"en\"><seg>#{name} sentence #{index} says #{index.to_s(36)}x to the " \
          "#{%w[brake wheel
                lamp][index % 3]}.</seg></tuv><tuv xml:lang=\"it\"><seg>Frase #{index}.</seg></tuv></tu>\n"
      end
    File.write(path, "<tmx version=\"1.4\"><body>\n#{units.join}</body></tmx>")
    path
  end

  def count
    base = SQLite3::Database.new(File.join(folder, "glossema.sqlite3"), readonly: true)
    base.get_first_value("SELECT count(*) FROM translation_units")
  ensure
    base&.close
  end

  after { FileUtils.rm_rf(folder) }

  it "is whole after kill -9 in the middle of an import, and takes in two files at once" do
    expect(glossema("memory", "create", "Work", "--source-lang", "en", "--target-lang", "it").last).to eq(0)
    expect(glossema("memory", "create", "Work", "--source-lang", "en", "--target-lang", "it")[1..]).to eq(
      ["There is already a memory named “Work”. Choose another name.\n", 2]
    )
    large = tmx("large", LARGE)
    pid =
      Process.spawn(environment, command, "memory", "import", "Work", large, out: File::NULL, err: File::NULL)
    sleep 0.1 until count > 2000
    Process.kill(:KILL, pid)
    Process.wait(pid)
    kept = count
    expect(kept).to be_between(2000, LARGE - 1)
    # What was in is found, though its part of the index was never finished.
    answer, =
      glossema(
        "memory",
        "lookup",
        "Work",
        input: "large sentence 1500 says 15ox to the brakes.\nlarge sentence #{LARGE - 1} says x.\n"
      )
    expect(answer.first["matches"].first).to include("target" => "Frase 1500.", "kind" => "fuzzy")

    other = tmx("other", 3000)
    both =
      [large, other].map { |path| Thread.new { glossema("memory", "import", "Work", path) } }.map(&:value)
    expect(both.map(&:last)).to eq([0, 0])
    expect(both.map { |rows, _| rows.first["added"] }).to eq([LARGE - kept, 3000])
    expect(count).to eq(LARGE + 3000)
    answer, =
      glossema(
        "memory",
        "lookup",
        "Work",
        input: "other sentence 2999 says 2bbx to the lamp.\n" \
          "large sentence #{LARGE - 1} says #{(LARGE - 1).to_s(36)}x to the lamp.\n"
      )
    expect(answer.map { |row| row["matches"].first.values_at("score", "target") }).to eq(
      [[100, "Frase 2999."], [100, "Frase #{LARGE - 1}."]]
    )
    File.write(
      File.join(folder, "a.txt"),
      "large sentence 7 says 7x to the wheel.\nNew words altogether here.\n"
    )
    counted, = glossema("count", File.join(folder, "a.txt"), "--against", "Work")
    expect(
      counted.first["bands"]
        .transform_values { |band| band["segments"] }
        .reject { |_, segments| segments.zero? }
    ).to eq("exact" => 1, "new" => 1)
    expect(glossema("memory", "lookup", "Nobody")[1..]).to eq(
      ["There is no memory named “Nobody” in #{folder}.\n", 2]
    )
  end
end
