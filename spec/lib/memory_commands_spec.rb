# The commands for memories, run as a script runs them.
require "memory_commands"

RSpec.describe MemoryCommands do
  let(:folder) { Dir.mktmpdir }

  def run(*arguments, input: "")
    out, err = StringIO.new, StringIO.new
    status = described_class.new(arguments, StringIO.new(input), out, err).run
    [out.string, err.string, status]
  end

  def lines(text) = text.lines.map { |line| JSON.parse(line) }

  def file(name, bytes) = File.join(folder, name).tap { |path| File.binwrite(path, bytes) }

  before { run("memory", "create", "Shop", "--source-lang", "en-GB", "--target-lang", "it-IT") }
  after { FileUtils.rm_rf(folder) }

  it "brings units in, looks them up a line at a time, and takes them out again" do
    table =
      file(
        "units.csv",
        "Load at most 60 kg.;Caricare al massimo 60 kg.\nCheck the straps.;Controllare le cinghie.\n"
      )
    out, err, status =
      run("memory", "import", "Shop", table, "--options", { source_column: "1", target_column: "2" }.to_json)
    expect([lines(out).first.slice("read", "added", "faults"), err, status]).to eq(
      [{ "read" => 2, "added" => 2, "faults" => [] }, "", 0]
    )

    out, =
      run(
        "memory",
        "lookup",
        "Shop",
        "--limit",
        "1",
        input: "Load at most 80 kg.\nCheck the strap.\nSomething else.\n"
      )
    expect(
      lines(out).map do |row|
        row["matches"].map { |match| match.values_at("score", "kind", "target", "stored_target") }
      end
    ).to eq(
      [
        [[99, "adapted", "Caricare al massimo 80 kg.", "Caricare al massimo 60 kg."]],
        [[94, "fuzzy", "Controllare le cinghie.", "Controllare le cinghie."]],
        []
      ]
    )
    expect(lines(out)).to all(include("ms" => be_between(0, 5000)))

    out, = run("memory", "export", "Shop")
    expect(out).to start_with("<?xml").and include("<seg>Controllare le cinghie.</seg>")
    run("memory", "create", "Copy", "--source-lang", "en", "--target-lang", "it")
    out, = run("memory", "import", "Copy", file("shop.tmx", out))
    expect(lines(out).first).to include("added" => 2)
    out, = run("memory", "list")
    expect(lines(out).map { |row| row.values_at("name", "units") }).to eq([["Copy", 2], ["Shop", 2]])
  end

  it "says on which line a file is damaged, takes the rest, and answers no" do
    unit = ->(text) do
      "<tu><tuv xml:lang=\"en\"><seg>#{text}</seg></tuv><tuv xml:lang=\"it\"><seg>x</seg></tuv></tu>\n"
    end
    damaged =
      file("d.tmx", "<tmx version=\"1.4\"><body>\n#{unit["one"]}#{unit["a & b"]}#{unit["two"]}</body></tmx>")
    out, err, status = run("memory", "import", "Shop", damaged)
    expect([lines(out).first["added"], status]).to eq([2, 1])
    expect(err).to start_with("d.tmx, line 3: ")
  end

  it "counts files by what a memory gives" do
    run(
      "memory",
      "import",
      "Shop",
      file("u.tsv", "Check the straps.\tControllare le cinghie.\n"),
      "--options",
      { source_column: "1", target_column: "2" }.to_json
    )
    text =
      file("a.txt", "Check the straps.\nCheck the strap.\nQuite another sentence.\nQuite another sentence.\n")
    out, = run("count", text, "--against", "Shop")
    bands = lines(out).first["files"].first["bands"].transform_values { |band| band["segments"] }
    expect(bands.reject { |_, count| count.zero? }).to eq(
      "exact" => 1,
      "85-94" => 1,
      "new" => 1,
      "repetition" => 1
    )
    expect(lines(out).first["bands"].sum { |_, band| band["words"] }).to eq(12)
  end

  # The codes behind: name-taken, memory-invalid, usage, memory-unknown, missing; memory-ambiguous below.
  {
    %w[memory create Shop --source-lang en --target-lang it] => /There is already a memory named “Shop”/,
    %w[memory create New --source-lang english --target-lang it] => /“english” is not a language tag/,
    %w[memory create New] => /--source-lang is missing/,
    %w[memory import Nobody a.tmx] => /There is no memory named “Nobody”/,
    %w[memory import Shop missing.tmx] => /missing\.tmx does not exist/,
    %w[memory burn Shop] => /There is nothing called “memory burn”: create, import/,
    %w[memory lookup] => /NAME is missing/,
    %w[count a.txt --against Nobody] => /a\.txt does not exist/
  }.each do |arguments, sentence|
    it "refuses #{arguments.join(" ")} in a sentence" do
      out, err, status = run(*arguments)
      expect([out, status]).to eq(["", 2])
      expect(err).to match(sentence)
      expect(err.lines.size).to eq(1)
    end
  end

  it "asks for another name when several people have a memory called so" do
    2.times { make_memory(make_user, [], name: "Ours") }
    expect(run("memory", "lookup", "Ours").drop(1)).to eq(["2 users have a memory named “Ours”.\n", 2])
  end

  # Several processes need a database of their own.
  it "counts a long text by several processes as by one" do
    words = %w[brake chain saddle pedal wheel lamp deck strap lever cable]
    texts =
      words
        .product(words, %w[alpha beta gamma])
        .map { |one, other, third| "The #{one} by the #{other} is #{third}." }
    command = ->(*arguments) do
      Open3.capture2(
        {
          "GLOSSEMA_DATA" => File.join(folder, "data"),
          "RAILS_ENV" => "production",
          "SECRET_KEY_BASE" => "x"
        },
        RbConfig.ruby,
        Rails.root.join("bin/glossema").to_s,
        *arguments
      ).first
    end
    command["memory", "create", "Own", "--source-lang", "en", "--target-lang", "it"]
    command[
      "memory",
      "import",
      "Own",
      file("own.csv", texts.first(150).map { |text| "#{text};#{text.upcase}\n" }.join),
      "--options",
      '{"source_column":"1","target_column":"2"}'
    ]
    bands =
      JSON.parse(command["count", file("long.txt", texts.join("\n")), "--lang", "en", "--against", "Own"])[
        "bands"
      ].transform_values { |band| band["segments"] }
    expect(bands.values_at("context", "exact").sum).to eq(150)
    expect(bands.values.sum).to eq(300)
    expect(bands["85-94"] + bands["75-84"]).to be > 100
  end
end
