# The command line, run as a script runs it.
require "glossema/cli"
require "open3"
require "tmpdir"

RSpec.describe "bin/glossema" do
  command = File.expand_path("../../bin/glossema", __dir__)
  around { |example| Dir.mktmpdir { |folder| Dir.chdir(folder) { example.run } } }

  def glossema(*arguments, input: "")
    out, err = StringIO.new, StringIO.new
    status = Glossema::Cli.new(arguments, StringIO.new(input), out, err).run
    [out.string.lines.map { |line| JSON.parse(line) }, err.string, status]
  end

  before do
    File.binwrite(
      "a.docx",
      docx(
        paragraph(run("Take the "), run("red", "<w:b/>"), run(" strap. Pull it.")) +
          paragraph(run("Pull it."))
      )
    )
  end

  it "lists every command as help, and names the way to it when it is asked for another" do
    output, errors, status = Open3.capture3(command, "--help")
    expect([errors, status.exitstatus]).to eq(["", 0])
    expect(Glossema::Cli::COMMANDS).to all(satisfy { |name| output.match?(/^  #{name} /) })
    expect(glossema("nonsense").drop(1)).to eq(["#{Glossema::Cli::USAGE}\n", 2])
  end

  it "extracts, merges and proves" do
    rows, = glossema("extract", "a.docx", "--source-lang", "en")
    expect(rows.map { |row| row.values_at("id", "source", "codes") }).to eq(
      [
        ["document:1:1", "Take the {1}red{/1} strap.", 1],
        ["document:1:2", "Pull it.", 0],
        ["document:2:1", "Pull it.", 0]
      ]
    )
    File.write("t.jsonl", { id: "document:1:1", target: "Prendere la cinghia {1}rossa{/1}." }.to_json)
    answer, _, status = glossema("merge", "a.docx", "t.jsonl", "--target-lang", "it-IT", "-o", "b.docx")
    expect([answer.first["identical"], status]).to eq([true, 0])
    expect(glossema("extract", "b.docx", "--source-lang", "it").first.map { |row| row["source"] }).to eq(
      ["Prendere la cinghia {1}rossa{/1}.", "Pull it.", "Pull it."]
    )
  end

  it "runs as a program of its own" do
    out, err, status =
      Bundler.with_unbundled_env do
        Open3.capture3(command, "segment", "--lang", "it", "--plain", stdin_data: "Sì. È così.")
      end
    expect([out.force_encoding("UTF-8"), err, status.exitstatus]).to eq(["Sì.\nÈ così.\n", "", 0])
  end

  it "answers no when codes were lost, and refuses codes that do not exist" do
    File.write("t.jsonl", { id: "document:1:1", target: "Prendere la cinghia rossa." }.to_json)
    answer, _, status = glossema("merge", "a.docx", "t.jsonl", "--target-lang", "it", "-o", "b.docx")
    expect([answer.first["identical"], status]).to eq([false, 1])
    File.write("t.jsonl", { id: "document:1:1", target: "{7}x{/7}" }.to_json)
    out, err, status = glossema("merge", "a.docx", "t.jsonl", "--target-lang", "it", "-o", "c.docx")
    expect([out, err, status, File.exist?("c.docx")]).to eq(
      [[], "t.jsonl, line 1: the code {7} does not exist in the source.\n", 2, false]
    )
  end

  it "refuses what is not there or not said, with a sentence" do
    File.write("t.jsonl", { id: "document:9:9", target: "x" }.to_json)
    File.write("r.json", { currency: "EUR", rate: "cheap" }.to_json)
    {
      "segment-unknown" => %w[merge a.docx t.jsonl --target-lang it -o c.docx],
      "missing" => %w[extract nowhere.docx],
      "usage" => %w[merge a.docx],
      "rates-broken" => %w[count a.docx --rates r.json],
      "language-unknown" => %w[extract a.docx --source-lang English]
    }.each do |code, arguments|
      out, err, status = glossema(*arguments)
      known = Glossema::Refusals.catalogue.fetch("refusals").fetch(code)
      told = known.is_a?(Hash) ? known.values : [known]
      forms = told.map { |sentence| Regexp.escape(sentence).gsub(/%\\{\w+\\}/, ".+") }
      expect([out, status]).to eq([[], 2])
      expect(err.chomp).to match(/\A(?:#{forms.join("|")})\z/)
    end
  end

  it "counts beside no memory, and says what it costs" do
    File.write("r.json",
      { currency: "EUR", rate: "0.5", weights: { repetition: "0.1" }, minimum: "3" }.to_json)
    answer = glossema("count", "a.docx", "--beside", "none", "--rates", "r.json").first.first
    expect(answer["beside"]).to include("words" => 8, "bands" => answer["bands"])
    expect(answer["beside"]["differences"].values.uniq).to eq([0])
    expect(answer["quote"]).to include("weighted_words" => "6.2", "net" => "3.10", "rush" => "0.00",
      "total" => "3.10")
  end

  it "goes there and back, counts, segments and scores" do
    expect(
      glossema("roundtrip", "a.docx", "--pseudo", "-o", "p.docx").then do |out, _, status|
        [out.first["identical"], status]
      end
    ).to eq([true, 0])
    count = glossema("count", "a.docx", "a.docx").first.first
    expect(
      [
        count["words"],
        count["bands"]["new"]["words"],
        count["bands"]["repetition"]["words"],
        count["files"].map { |file| file["words"] }
      ]
    ).to eq([16, 6, 10, [8, 8]])
    expect(glossema("segment", "--lang", "en", input: "One. Two.\nThree").first).to eq(%w[One. Two. Three])
    expect(glossema("score", "80 kg", "60 kg").first.first).to eq(
      "score" => 50,
      "distance" => 1.0,
      "differences" => [{ "op" => "replace", "source" => "80", "memory" => "60" }]
    )
  end

  it "aligns two files, with the terms of a termbase, into a TMX" do
    File.write("en.txt", "Course page, spring\n\nThe kiln is fired to 980 °C.\n\nAsk Ada Rook.\n")
    File.write("it.txt",
      "Pagina del corso, primavera\n\nIl forno arriva a 980 °C.\n\nChiedete ad Ada Rook.\n")
    File.write("t.csv", "id,en,it\n1,kiln,forno\n")
    lines, errors, status = glossema("align", "en.txt", "it.txt", "--source-lang", "en-GB", "--target-lang",
      "it-IT", "--termbase", "t.csv", "-o", "out.tmx")
    expect([errors, status]).to eq(["", 0])
    expect(lines.map { |line| line.values_at("source", "target") }).to eq(
      [[["Course page, spring"], ["Pagina del corso, primavera"]],
       [["The kiln is fired to 980 °C."], ["Il forno arriva a 980 °C."]],
       [["Ask Ada Rook."], ["Chiedete ad Ada Rook."]]]
    )
    expect(lines.map { |line| line["probability"] }).to all(be_between(0, 1))
    expect(File.read("out.tmx", encoding: "UTF-8")).to include("Il forno arriva a 980 °C.", "aligned")
    _, errors, status = glossema("align", "en.txt", "en.txt", "--source-lang", "en", "--target-lang", "it")
    expect([errors, status]).to eq(["“en.txt” was chosen twice. Choose a text and its translation.\n", 2])
  end

  it "finds terms line by line, as the termbase or the command says" do
    File.write("t.csv",
      "id,en,it,it: status\n7,brake pad,pastiglia,preferred\n7,,pattino,deprecated\n8,load,carico,\n")
    answers = glossema("terms", "find", "--termbase", "t.csv", "--lang", "en-GB",
      input: "Brake pads.\nx\nUnload")
    found = { "from" => 0, "to" => 10, "term" => "brake pad", "entry" => "7", "targets" => ["pastiglia"] }
    expect(answers).to eq([[[found], [], []], "", 0])
    exact = glossema("terms", "find", "--termbase", "t.csv", "--lang", "en", "--recognise", "exact",
      input: "Brake pads. A brake pad.\n")
    expect(exact.first.flatten(1).map { |one| one["from"] }).to eq([14])
  end

  it "proposes candidates that a termbase does not have" do
    File.write("m.txt",
      "The braking distance grows.\n\nThe braking distance of a kickstand.\n\nFold the kickstand.\n")
    File.write("t.csv", "en,it\nkickstand,cavalletto\n")
    rows, _, status = glossema("terms", "candidates", "m.txt", "--lang", "en", "--termbase", "t.csv",
      "--limit", "5")
    expect(rows.map { |row|
      row.slice("term", "count")
    }).to eq([{ "term" => "braking distance", "count" => 2 }])
    expect([rows.first["examples"].size, rows.first["score"].positive?, status]).to eq([2, true, 0])
  end

  it "measures the cues of subtitles, and refuses what has none (not-timed)" do
    found, = glossema("cues", "#{Files::DEMO}/film.srt", "--limits", '{"cps":18}')
    expect(found).to eq([
      { "cue" => 1, "start" => 1.0, "end" => 3.5, "duration" => 2.5, "cps" => 17.6, "wpm" => 240.0,
        "lines" => ["Heavy things go to the front,", "low in the box."], "gap" => 0.5, "over" => [] },
      { "cue" => 2, "start" => 4.0, "end" => 6.0, "duration" => 2.0, "cps" => 10.0, "wpm" => 120.0,
        "lines" => ["Now fasten the belt."], "gap" => nil, "over" => [] }
    ])
    blank = "1\n00:00:01,000 --> 00:00:02,000\nOne\n\n2\n00:00:02,500 --> 00:00:04,000\n\n" \
      "3\n00:00:04,000 -->\nNo end\n"
    File.write("blank.srt", blank)
    found, = glossema("cues", "blank.srt")
    expect(found.map { |cue| cue.values_at("cue", "end", "cps", "gap", "over") })
      .to eq([[1, 2.0, 3.0, 0.5, []], [2, 4.0, 0.0, 0.0, ["gap"]], [3, nil, nil, nil, ["duration"]]])
    expect(glossema("cues", "a.docx").drop(1)).to eq(["a.docx has no cues.\n", 2])
    expect(glossema("cues", "#{Files::DEMO}/film.vtt", "--limits", "[]").last).to eq(2)
  end

  describe "sheet" do
    before do
      rows = [["Check the chain.", "Controllare la catena."], ["Stop now.", "Fermarsi."]]
      units = rows.each_with_index.map do |(source, target), index|
        %(<unit id="u#{index}"><segment state="translated"><source>#{source}</source>) +
          "<target>#{target}</target></segment></unit>"
      end
      File.write("a.xlf", '<xliff xmlns="urn:oasis:names:tc:xliff:document:2.0" version="2.1" ' \
        "srcLang=\"en-GB\" trgLang=\"it-IT\"><file id=\"f\">#{units.join}</file></xliff>")
    end

    # The sheet with a text in it put otherwise, as a reviser would without tracked changes.
    def correct(from, to, name: "s.docx")
      bytes = Zip::OutputStream.write_buffer do |out|
        Zip::File.open(name).each do |entry|
          out.put_next_entry(entry.name)
          out.write(entry.get_input_stream.read.force_encoding("UTF-8").sub(from, to))
        end
      end
      File.binwrite(name, bytes.string)
    end

    it "goes out, and what was changed in it comes back into the files" do
      File.write("t.csv", "en,it\nchain,catena\n")
      expect(glossema("sheet", "out", "a.xlf", "-o", "s.docx", "--termbase", "t.csv", "--no-tracking")).to eq(
        [[{ "files" => 1, "segments" => 2 }], "", 0]
      )
      expect(glossema("sheet", "back", "s.docx", "a.xlf")).to eq([[], "", 0])
      correct("Controllare la", "Verificare la")
      found, errors, status = glossema("sheet", "back", "s.docx", "a.xlf", "-o", "back")
      expect([errors, status]).to eq(["", 0])
      expect(found).to eq([{ "file" => "a.xlf", "id" => "f1-u0.1:1", "before" => "Controllare la catena.",
                             "after" => "Verificare la catena.", "author" => nil, "at" => nil,
                             "refused" => nil }])
      expect(File.read("back/a.xlf")).to include("<target>Verificare la catena.</target>",
        "<target>Fermarsi.</target>")
    end

    it "says which rows are not as they went out (sheet-row), and takes in the rest" do
      glossema("sheet", "out", "a.xlf", "-o", "s.docx", "--no-instructions")
      correct("f1-u1.1", "f1-u9.1")
      _, errors, status = glossema("sheet", "back", "s.docx", "a.xlf")
      expect(errors.lines.map { |line| line[/row \S+ (?:is|belongs) .*/] }).to eq(
        ["row 1/f1-u1.1:1 is missing. Its segment does not change.",
         "row 1/f1-u9.1:1 belongs to another file and was skipped."]
      )
      expect(status).to eq(0)
    end

    {
      "a sheet of other files (sheet-other)" => [%w[back s.docx b.xlf],
                                                 /s.docx was not imported. It is a review sheet of other/],
      "a file that is no sheet (sheet-none)" => [%w[back a.docx a.xlf],
                                                 /a.docx was not imported. It is not a review sheet/],
      "a document without translations (not-bilingual)" => [%w[out a.docx -o t.docx],
                                                            /has no translations/],
      "what has no name" => [%w[sideways], /sideways/]
    }.each do |what, (arguments, sentence)|
      it "refuses #{what}" do
        glossema("sheet", "out", "a.xlf", "-o", "s.docx")
        File.write("b.xlf", File.read("a.xlf").gsub('id="u', 'id="v').gsub('id="f"', 'id="g"'))
        found, errors, status = glossema("sheet", *arguments)
        expect([found, status]).to eq([[], 2])
        expect(errors).to match(sentence)
      end
    end
  end

  describe "check" do
    def check(rows, *more)
      File.write("a.tsv", rows.map { |row| row.join("\t") }.join("\n"))
      glossema("check", "a.tsv", "--source-lang", "en", "--target-lang", "it", *more)
    end

    it "says what is wrong row by row, and answers no when something must be fixed" do
      rows = [["It weighs 12 kg {net}.", "Pesa 13 kg {net}."], ["only one side"], ["Stop.", "Fermo,, ora."],
              [" Stop ", " Fermo "]]
      found, _, status = check(rows)
      expect(found.map { |one| one.values_at("segment", "code", "level", "source", "target", "fix") }).to eq([
        [1, "number-missing", "must-fix", [[10, 12]], [[5, 7]], nil],
        [2, "target-empty", "must-fix", [[0, 13]], [], nil],
        [3, "mark-double", "look", [], [[5, 7]], "Fermo, ora."]
      ])
      expect(found.first["message"]).to eq("12 in the source is 13 in the target.")
      expect(status).to eq(1)
      expect(check([["Stop.", "Fermo."], ["Stop..", "Fermo,, ora."]]).last).to eq(0)
    end

    it "passes over a row without a source, says so, and checks the rest (row-sourceless)" do
      found, errors, = check([["", "Fermo."], ["Stop.", "Fermo,, ora."]])
      expect(found.map { |one| one["segment"] }).to eq([2])
      expect(errors).to eq("a.tsv, row 1: skipped a translation without a source.\n")
    end

    it "looks across the text where the profile says so, and for what it lists" do
      File.write("p.json", JSON.generate("checks" => { "source-two-targets" => { "level" => "must-fix" } },
        "never_used" => ["nastro"], "never_translated" => ["Glim"]))
      rows = [["Oil the chain.", "Oliare la catena."], ["Oil the chain.", "Oliare il nastro."],
              ["Glim", "Luce"]]
      expect(check(rows).first).to eq([])
      found, _, status = check(rows, "--profile", "p.json")
      expect(found.map { |one| one.values_at("segment", "code") }).to eq([
        [2, "never-used"], [3, "never-translated"], [1, "source-two-targets"], [2, "source-two-targets"]
      ])
      expect(found.map(&:keys).uniq).to eq([%w[segment code level message source target fix]])
      expect(status).to eq(1)
    end

    it "checks terms, XLIFF, PO and TMX" do
      File.write("t.csv", "en,it\nchain,catena\n")
      found, = check([["Oil the chain.", "Oliare il nastro."]], "--termbase", "t.csv")
      expect(found.map { |one| one["message"] }).to eq(["The termbase translates “chain” as catena."])
      %w[course.xlf app.po].each do |name|
        found, _, status = glossema("check", "#{Files::DEMO}/#{name}", "--source-lang", "en",
          "--target-lang", "it")
        expect([found.map { |one| one["code"] }.uniq, status]).to eq([["target-empty"], 1])
      end
      found, = glossema("check", "#{Files::DEMO}/course.tmx", "--source-lang", "en", "--target-lang", "it")
      expect(found).to eq([])
    end

    it "runs the checks of a profile and those of her own, and gives up one that runs away (own-slow)" do
      File.write("p.json", JSON.generate(
        "checks" => { "mark-double" => { "level" => "off" }, "number-missing" => { "level" => "look" } },
        "own" => [{ "name" => "Form", "source" => "Press", "target" => "Premi\\b", "message" => "verb" },
                  { "name" => "Slow", "target" => "(a|aa)+$", "message" => "x" }]
      ))
      rows = [["Press 1,, now", "Premi 2,, ora"], ["b", "#{"a" * 60}!"]]
      found, errors, status = check(rows, "--profile", "p.json")
      expect(found.map { |one| one.values_at("segment", "code", "level") }).to include(
        [1, "number-missing", "look"], [1, "own", "look"]
      )
      expect(status).to eq(0)
      expect(errors).to eq("The check “Slow” took too long and was skipped. Simplify its expression.\n")
    end

    {
      "{" => "The profile is not valid. It is a JSON object with checks and own.",
      "[]" => "The profile is not valid. It is a JSON object with checks and own.",
      '{"checks":{"nope":{}}}' => "The check “nope” does not exist.",
      '{"checks":{"end-mark":{"level":"grave"}}}' =>
        "“grave” is not a level of end-mark. Levels: must-fix, look, off.",
      '{"own":[{"name":"x","target":"(","message":"y"}]}' =>
        "The check “x” was not saved. ( is not a valid regular expression (end pattern with unmatched " \
        "parenthesis).",
      '{"own":[{"name":"x"}]}' =>
        "The check “x” was not saved. It needs a name, an expression for the target and a message; " \
        "way is must, must-not or " \
        "as-often, level must-fix or look, languages a list."
    }.each do |profile, sentence|
      it "refuses the profile #{profile}" do
        File.write("p.json", profile)
        expect(check([["a", "b"]], "--profile", "p.json")).to eq([[], "#{sentence}\n", 2])
      end
    end

    it "refuses a file that holds no translations, or is no text" do
      File.binwrite("b.tsv", "a\t\xFF")
      languages = ["--source-lang", "en", "--target-lang", "it"]
      expect(glossema("check", "b.tsv",
        *languages)).to eq([[], "b.tsv is not UTF-8 text. Save it as UTF-8.\n", 2])
      expect(glossema("check", "a.docx", *languages).last).to eq(2)
    end
  end

  it "carries over and spells line by line" do
    carried = glossema("carry", "--source-lang", "en-GB", "--target-lang", "it-IT",
      input: "1,250.5 kg\nnone\n").first
    expect(carried).to eq(
      [[{ "from" => 0, "to" => 10, "kind" => "unit", "source" => "1,250.5 kg", "target" => "1.250,5 kg" }],
       []]
    )
    File.write("own.txt", "Tarnholt\n")
    spelled = glossema("spell", "--lang", "en-GB", "--words", "own.txt", input: "Teh Tarnholt\n").first
    expect(spelled.first.map { |fault| fault.slice("from", "to", "word") }).to eq(
      [{ "from" => 0, "to" => 3, "word" => "Teh" }]
    )
    expect(spelled.first.first["suggestions"]).to include("The")
    said = Glossema::Refused.new("no-dictionary", lang: "eo").message
    expect(glossema("spell", "--lang", "eo", input: "x\n")).to eq([[], "#{said}\n", 2])
  end

  [
    %w[terms find --lang en],
    %w[terms find --lang en --termbase no.tbx],
    %w[terms nonsense],
    %w[terms candidates --lang en],
    %w[carry --source-lang en],
    %w[spell --lang English],
    %w[extract no.docx],
    %w[extract a.docx --lang English],
    ["nonsense"],
    %w[merge a.docx],
    ["segment"],
    ["count"],
    %w[extract a.docx --options {],
    %w[roundtrip a.docx -o /no/where]
  ].each do |arguments|
    it "refuses #{arguments.join(" ")} in one sentence" do
      out, err, status = glossema(*arguments)
      expect([out, status]).to eq([[], 2])
      expect(err.lines.size).to eq(1)
    end
  end
end
