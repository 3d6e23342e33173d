# Subtitles: each cue is a unit; times, numbers, positions and line ends stay; styles are codes, line breaks
# text.
RSpec.describe Glossema::Formats::Subrip do
  it_behaves_like "texts read and written",
    "a.srt",
    "reads cues with styles and breaks" => [
      "1\r\n00:00:01,000 --> 00:00:02,000 X1:0\r\n{\\an8}<i>One</i>\r\n- two <font " \
        "color=\"#fff\">x</font>\r\n\r\n2\r\n00:00:03,000 --> 00:00:04,000\r\nThree & four.\r\n",
      ["{1}One{/1}\n- two {2}x{/2}", "Three & four."]
    ],
    "bears missing numbers, empty cues and empty lines inside" => [
      "00:00:01,000 --> 00:00:02,000\nOne\n\ntwo\n\n7\n00:00:03,000 --> 00:00:04,000\n\n8\n00:00:05,000 " \
        "--> 00:00:06,000\n42\nyears\n",
      ["One\n\ntwo", "42\nyears"]
    ]

  it "splits no cue into sentences, and says its time" do
    document = open_text("1\n00:00:01,000 --> 00:00:02,000\nOne. Two.\n", "a.srt")
    expect(
      document.segments.map { |segment| [segment.content.text, segment.unit.path, segment.unit.block] }
    ).to eq([["One. Two.", "cue 1 · 00:00:01,000 → 00:00:02,000", "cue"]])
    expect(put(document, "Uno.")).to eq("1\n00:00:01,000 --> 00:00:02,000\nUno.\n")
  end
end

RSpec.describe Glossema::Formats::Webvtt do
  it_behaves_like "texts read and written",
    "a.vtt",
    "reads cues, and leaves header, notes and styles" => [
      "WEBVTT - x\nKind: captions\n\nSTYLE\n::cue { color: red }\n\nNOTE\nno --> no\n\nid\n00:01.000 --> " \
        "00:02.000 line:0\n<v Ann>One &amp; two\nthree <c.red>x</c> <00:01.500>y\n\n01:00:03.000 --> " \
        "01:00:04.000\nFour\n",
      ["One & two\nthree {1}x{/1} {2/}y", "Four"]
    ],
    "needs no hours, and keeps CRLF" => [
      "WEBVTT\r\n\r\n00:01.000 --> 00:02.000\r\nOne\r\ntwo\r\n",
      ["One\ntwo"]
    ]

  it("escapes what must be") do
    expect(put(open_text("WEBVTT\n\n00:01.000 --> 00:02.000\nOne", "a.vtt"), "A < b & c")).to end_with(
      "\nA &lt; b &amp; c"
    )
  end
end

RSpec.describe "Cues of files that are not as they should be" do
  it "reads what is out of order, begins before the film, or has no end, and gives it back as it was" do
    text = "1\n-00:00:01,000 --> 00:00:02,000\nOne\n\n2\n00:00:05,000 -->\nTwo\n\n3\n00:00:04,000 --> " \
      "00:00:06,000\nThree\n"
    document = open_text(text, "a.srt")
    expect(written_of(document)).to eq(%w[One Two Three])
    cues = document.units.map { |unit| unit.cue }
    expect(cues.map { |cue| [cue.start, cue.finish] }).to eq([[-1, 2], [5, nil], [4, 6]])
    expect(put(document, "Uno", "Due",
      "Tre")).to eq(text.sub("One", "Uno").sub("Two", "Due").sub("Three", "Tre"))
  end
end

RSpec.describe Glossema::Formats::Ttml do
  def ttml(body, head = "")
    names = "xmlns=\"http://www.w3.org/ns/ttml\" xmlns:ttp=\"http://www.w3.org/ns/ttml#parameter\""
    open_text("<tt #{names} #{head}>" \
      "<head><metadata><x>no</x></metadata></head><body>#{body}</body></tt>", "a.ttml")
  end

  it "reads cues with styles, their line breaks as text, and writes breaks as the file does" do
    document = ttml("<div><p begin=\"1s\" end=\"2s\">One<br />\n  two <span>three</span></p></div>")
    expect(written_of(document)).to eq(["One\ntwo {1}three{/1}"])
    expect(put(document, "Uno due\n{1}tre{/1}")).to include(">Uno due<br /><span>tre</span></p>")
    pseudo(document)
  end

  # attributes of tt, of div, of p → start, end
  [
    ["", "", 'begin="00:00:01.500" end="00:00:03"', [1.5, 3]], ["", "", 'begin="1.5s" dur="2s"', [1.5, 3.5]],
    ['ttp:frameRate="25"', "", 'begin="00:00:01:05" end="00:00:02:10"', [1.2, 2.4]],
    ['ttp:frameRate="24" ttp:frameRateMultiplier="1000 1001"', "", 'begin="24f" end="00:00:09"', [1.001, 9]],
    ['ttp:tickRate="10000000"', "", 'begin="15000000t" end="2m"', [1.5, 120]],
    ["", 'begin="10s"', 'begin="1s" end="3s"', [11, 13]], ["", "", 'begin="1s"', [1, nil]]
  ].each do |head, outer, own, times|
    it "reads #{own} in #{[outer, head].reject(&:empty?).join(" in ")}" do
      cue = ttml("<div #{outer}><p #{own}>One</p></div>", head).units.first.cue
      expect([cue.start, cue.finish].map { |time| time&.to_f }).to eq(times)
    end
  end

  it "leaves paragraphs without times what they are" do
    expect(ttml("<div><p>One</p></div>").units.first).to have_attributes(block: "paragraph", path: "p")
  end
end

RSpec.describe Glossema::Timing::Placement do
  # file, its text → where the cue stands, what its codes look like
  [
    ["a.srt", "1\n00:00:01,000 --> 00:00:02,000\n{\\an8}One <font color=\"#FFFF00\">two</font>\n", "top",
     ["color-ffff00"]],
    ["a.srt", "1\n00:00:01,000 --> 00:00:02,000\n{\\an1}One <i>two</i>\n", "left", ["italic"]],
    ["a.vtt", "WEBVTT\n\n00:01.000 --> 00:02.000 line:5% align:end\nOne <c.yellow>two</c>\n", "top right",
     ["color-yellow"]],
    ["a.vtt", "WEBVTT\n\n00:01.000 --> 00:02.000 line:50%\nOne\n", "middle", []],
    ["a.vtt", "WEBVTT\n\n00:01.000 --> 00:02.000 line:-2\nOne\n", nil, []],
    ["a.ttml", "<tt xmlns=\"http://www.w3.org/ns/ttml\" xmlns:tts=\"http://www.w3.org/ns/ttml#styling\">" \
      "<head><layout>" \
      "<region xml:id=\"r\" tts:displayAlign=\"before\"/></layout></head><body><div><p begin=\"1s\" " \
      "end=\"2s\" region=\"r\" tts:textAlign=\"start\">One</p></div></body></tt>", "top left", []]
  ].each do |name, text, place, looks|
    it "is #{place || "below"} in #{name}, with #{looks}" do
      segment = open_text(text, name).segments.first
      expect(segment.unit.cue.place).to eq(place)
      expect(segment.content.codes.select(&:open?).map(&:css)).to eq(looks)
    end
  end
end
