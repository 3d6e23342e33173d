# Times changed in the text of a file, cues split and joined: what is not changed stays byte for byte.
RSpec.describe Glossema::Timing::Retiming do
  let(:subrip) { described_class.new(Glossema::Formats::Subrip::ONE_TIME) }
  let(:webvtt) do
    format = Glossema::Formats::Webvtt
    described_class.new(format::ONE_TIME, closes: format::CLOSES, passes_over: format::NO_CUES)
  end
  let(:text) do
    "1\r\n00:00:01,000 --> 00:00:03,000 X1:0\r\n<i>Before you load,</i>\r\nput it down.\r\n\r\n" \
      "2\r\n00:00:03,200 --> 00:00:04,000\r\nHeavy\r\n\r\n3\r\n00:00:05,000 --> 00:00:06,000\r\nLast\r\n"
  end

  it "changes start and end, as the file writes times" do
    changed = subrip.apply(text, [{ "act" => "times", "cue" => 2, "start" => "3.28", "finish" => 4.5 }])
    expect(changed).to eq(text.sub("00:00:03,200 --> 00:00:04,000", "00:00:03,280 --> 00:00:04,500"))
    vtt = "WEBVTT\n\nNOTE once\n00:00.500 --> 00:00.700\n\n00:01.000 --> 00:02.000 align:start\nOne\n"
    changed = webvtt.apply(vtt, [{ "act" => "times", "cue" => 1, "finish" => "2.5" }])
    expect(changed).to eq(vtt.sub("00:02.000", "00:02.500"))
    expect(webvtt.apply(vtt, [{ "act" => "shift", "from" => 1, "to" => 1, "by" => 3600 }]))
      .to eq(vtt.sub("00:01.000 --> 00:02.000", "01:00:01.000 --> 01:00:02.000"))
  end

  it "shifts a stretch, and back" do
    there = { "act" => "shift", "from" => 2, "to" => 3, "by" => "1.25" }
    moved = subrip.apply(text, [there])
    expect(moved).to include("\r\n00:00:04,450 --> 00:00:05,250\r\n",
      "\r\n00:00:06,250 --> 00:00:07,250\r\n", "X1:0")
    expect(subrip.apply(moved, [{ **there, "by" => "-1.25" }])).to eq(text)
  end

  it "splits a cue, numbers those after it anew, and joins it again as it was" do
    parted = subrip.apply(text, [{ "act" => "split", "cue" => 1, "at" => 2, "gap" => "0.08", "words" => 3 }])
    expect(parted).to start_with(
      "1\r\n00:00:01,000 --> 00:00:02,000 X1:0\r\n<i>Before you load,</i>\r\n\r\n2\r\n00:00:02,080 --> " \
        "00:00:03,000 X1:0\r\nput it down.\r\n\r\n3\r\n00:00:03,200"
    )
    expect(parted).to include("\r\n\r\n4\r\n00:00:05,000")
    expect(subrip.apply(parted, [{ "act" => "join", "cue" => 1 }])).to eq(text)
  end

  it "goes by letters that take several bytes" do
    accented = text.gsub("Heavy", "È già là").gsub("put it down", "però più giù")
    split = { "act" => "split", "cue" => 1, "at" => 2, "gap" => "0.08", "words" => 4 }
    parted = subrip.apply(accented,
      [split, { "act" => "times", "cue" => 3, "start" => "3.28", "finish" => 4 }])
    expect(parted).to include("load,</i>\r\nperò\r\n\r\n2\r\n", "\r\npiù giù.\r\n\r\n3\r\n00:00:03,280")
    expect(parted).to include("È già là").and be_valid_encoding
    expect(parted.encoding).to eq(Encoding::UTF_8)
  end

  {
    "cue-unknown" => { "act" => "times", "cue" => 9, "start" => 1 },
    "cue-negative" => { "act" => "shift", "from" => 1, "to" => 3, "by" => -2 },
    "cue-act" => { "act" => "dance", "cue" => 1 }
  }.each do |code, edit|
    it "refuses #{edit}: #{code}" do
      expect { subrip.apply(text, [edit]) }.to raise_error(Glossema::Refused) { |error|
        expect(error.code).to eq(code)
      }
    end
  end

  it "is read by the formats, which write all else as it was, and prove it" do
    edits = { "retimed" => [{ "act" => "times", "cue" => 2, "start" => "3.28", "finish" => "4.5" }] }
    document = Glossema::Document.new(text.b, name: "a.srt", language: "en", options: edits)
    expect(document.units[1].path).to eq("cue 2 · 00:00:03,280 → 00:00:04,500")
    expect(document.write({}).b).to eq(text.sub("00:00:03,200 --> 00:00:04,000",
      "00:00:03,280 --> 00:00:04,500").b)
    written = document.write({ document.segments[1].id => Glossema::Content.text("Pesante") })
    expect(written.b).to include("00:00:03,280 --> 00:00:04,500\r\nPesante\r\n".b)
  end
end

RSpec.describe Glossema::Timing::RetimingXml do
  def file(body)
    "<tt xmlns=\"http://www.w3.org/ns/ttml\">\n<head/><body><div>\n#{body}\n</div></body></tt>\n"
  end

  def read(text, *edits)
    Glossema::Document.new(text.b, name: "a.ttml", language: "en", options: { "retimed" => edits })
  end

  def shown(document) = document.units.map { |unit| [unit.path[/· (.*)/, 1], unit.content.text] }

  let(:body) do
    "<p begin=\"00:00:01.000\" end=\"00:00:03.000\" region=\"r\">Before <span>you</span> load</p>\n" \
      "<p end='5s' begin='4s'>Heavy</p>"
  end

  it "changes, shifts, splits and joins, and leaves all else as it was" do
    changed = read(file(body), { "act" => "times", "cue" => 2, "start" => "4.2", "finish" => "6" })
    expect(changed.write({}).force_encoding("UTF-8")).to eq(file(body.sub("'5s'", "'6s'").sub("'4s'",
      "'4.2s'")))
    moved = read(file(body), { "act" => "shift", "from" => 1, "to" => 2, "by" => "0.5" })
    expect(shown(moved).map(&:first)).to eq(["00:00:01.500 → 00:00:03.500", "00:00:04.500 → 00:00:05.500"])
    split = { "act" => "split", "cue" => 1, "at" => "2", "gap" => "0.08", "words" => 1 }
    expect(shown(read(file(body), split)).first(2)).to eq([
      ["00:00:01.000 → 00:00:02.000", "Before"], ["00:00:02.080 → 00:00:03.000", "you load"]
    ])
    joined = read(file(body), split, { "act" => "join", "cue" => 1 })
    expect(shown(joined).first).to eq(["00:00:01.000 → 00:00:03.000", "Before\nyou load"])
  end

  it "refuses times that are counted from others (cue-within)" do
    text = file(body).sub("<div>", "<div begin=\"10s\">")
    expect { read(text, { "act" => "shift", "from" => 1, "to" => 2, "by" => 1 }) }
      .to raise_error(Glossema::Refused) { |error| expect(error.code).to eq("cue-within") }
  end
end

RSpec.describe Glossema::Timing::Settling do
  def cue(start, finish) = Glossema::Timing::Cue.new(number: 1, start: start.to_r, finish: finish.to_r)

  # wanted, before, after → settled, at 25 frames a second and two frames apart
  [
    [[1.01, 2.99], nil, nil, [1.0, 3.0]], [[1.01, 2.99], [0, 1], nil, [1.08, 3.0]],
    [[1, 3], nil, [3.01, 4], [1.0, 2.92]], [[-1, 1], nil, nil, [0.0, 1.0]]
  ].each do |wanted, before, after, settled|
    it "puts #{wanted} between #{before.inspect} and #{after.inspect} to #{settled}" do
      limits = Glossema::Timing::Limits.new
      found = described_class.new(limits).settle(*wanted, before: before && cue(*before),
        after: after && cue(*after))
      expect(found.map(&:to_f)).to eq(settled)
    end
  end

  it "refuses a cue for which there is no room" do
    settling = described_class.new(Glossema::Timing::Limits.new)
    expect {
      settling.settle(1, 2, before: cue(0, 1.9), after: cue(2, 3))
    }.to raise_error(Glossema::Refused) { |error|
           expect(error.code).to eq("cue-no-room")
         }
  end
end
