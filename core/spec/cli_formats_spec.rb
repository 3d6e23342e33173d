# The command line on every format: extract, merge and roundtrip on the demo files, with options and rules.
require "glossema/cli"
require "stringio"
require "tmpdir"

RSpec.describe Glossema::Cli do
  folder = Files::DEMO
  let(:place) { Dir.mktmpdir }

  # Runs a command; answers [exit status, lines of JSON, standard error].
  def command(*arguments, input: "")
    output, errors = StringIO.new(+""), StringIO.new(+"")
    status = described_class.new(arguments, StringIO.new(input), output, errors).run
    [status, output.string.lines.map { |line| JSON.parse(line) }, errors.string]
  end

  def file(name, text) = File.join(place, name).tap { |path| File.binwrite(path, text) }

  Dir
    .children(folder)
    .sort
    .each do |name|
      it "works on #{name}" do
        path, out = File.join(folder, name), File.join(place, name)
        status, segments, _errors = command("extract", path, "--source-lang", "en")
        expect(status).to eq(0)
        expect(segments).not_to be_empty
        expect(segments.first.keys).to include(
          "id",
          "unit",
          "path",
          "source",
          "text",
          "codes",
          "note",
          "limit"
        )
        expect(segments.map { |segment| segment["id"] }.uniq.size).to eq(segments.size)

        status, (proof,), _errors = command("roundtrip", path, "-o", out)
        expect([status, proof["identical"], proof["segments"]]).to eq([0, true, segments.size])
        expect(File.binread(out)).to eq(File.binread(path))
        status, (proof,), _errors = command("roundtrip", path, "--pseudo", "--target-lang", "it", "-o", out)
        expect([status, proof["differences"]]).to eq([0, []])

        targets =
          file(
            "targets.jsonl",
            segments
              .map do |segment|
                JSON.generate("id" => segment["id"], "target" => segment["source"].sub(/\p{L}/, "Ż"))
              end
              .join("\n")
          )
        status, (proof,), _errors = command("merge", path, targets, "--target-lang", "it", "-o", out)
        expect([status, proof["differences"]]).to eq([0, []])
      end
    end

  it "adds the plural forms of the target language" do
    _, segments, _errors = command("extract", File.join(folder, "app.po"), "--target-lang", "pl")
    expect(segments.size).to eq(6)
    _, segments, _errors = command("extract", File.join(folder, "app.json"), "--target-lang", "pl")
    expect(segments.map { |segment| segment["id"] }).to include("ride_few:1", "ride_many:1")
  end

  it "gives keys, targets and states of bilingual files" do
    _, segments, _errors = command("extract", File.join(folder, "course.xlf"))
    expect(segments[1].values_at("key", "target", "state")).to eq(
      ["2", "Porta un {1}grembiule{/1} e{2/}unghie corte.", "draft"]
    )
  end

  it "takes options and rules" do
    sheet = File.join(folder, "prices.xlsx")
    _, segments, _errors =
      command(
        "extract",
        sheet,
        "--options",
        '{"ranges": "A2:A3", "sheet_names": false, "print_headers": false}'
      )
    expect(segments.map { |segment| segment["text"] }).to eq(["Rear seat with belt", "Rain cover"])
    rules = file("own.srx", Glossema::Segmentation::Srx.default.excepting("en", "box.").xml)
    text = file("a.txt", "Open the box. Check the parts.")
    expect(command("extract", text, "--source-lang", "en", "--rules", rules)[1].size).to eq(1)
    expect(command("extract", text, "--source-lang", "en")[1].size).to eq(2)
    expect(command("extract", text, "--source-lang", "en", "--by", "paragraph")[1].size).to eq(1)
    expect(
      command("segment", "--lang", "en", "--rules", rules, input: "Open the box. Check the parts.")[1]
    ).to eq(["Open the box. Check the parts."])
    expect(command("count", sheet, text, "--lang", "en")[1].first["files"].map { |one| one["name"] }).to eq(
      %w[prices.xlsx a.txt]
    )
  end

  {
    "a damaged file" => ["a.json", "{", "a.json is damaged"],
    "a hostile file" => ["a.xml", "<!DOCTYPE a [<!ENTITY b SYSTEM \"x\">]><a/>", "stored outside the file"],
    "a file of no known format" => ["a.xyz", "\x00\x01\x02", "not in a supported format"],
    "a range that is none" => [nil, '{"ranges": "?"}', "is not a range"],
    "a column that is not there" => [nil, '{"columns": "Zebra"}', "has no column “Zebra”"]
  }.each do |what, (name, content, reason)|
    it "refuses #{what} in one sentence, and writes nothing" do
      out = File.join(place, "out")
      path = name ? file(name, content.b) : File.join(folder, "prices.xlsx")
      status, lines, errors = command("roundtrip", path, "-o", out, *(name ? [] : ["--options", content]))
      expect([status, lines, File.exist?(out)]).to eq([2, [], false])
      expect(errors.lines.size).to eq(1)
      expect(errors).to include(reason)
    end
  end
end
