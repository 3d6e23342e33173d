# Subtitles: each cue is a unit; times, numbers, positions and line ends stay; styles and line breaks are
# codes.
RSpec.describe Glossema::Formats::Subrip do
  it_behaves_like "texts read and written",
    "a.srt",
    "reads cues with styles and breaks" => [
      "1\r\n00:00:01,000 --> 00:00:02,000 X1:0\r\n{\\an8}<i>One</i>\r\n- two <font " \
        "color=\"#fff\">x</font>\r\n\r\n2\r\n00:00:03,000 --> 00:00:04,000\r\nThree & four.\r\n",
      ["{1}One{/1}{2/}- two {3}x{/3}", "Three & four."]
    ],
    "bears missing numbers, empty cues and empty lines inside" => [
      "00:00:01,000 --> 00:00:02,000\nOne\n\ntwo\n\n7\n00:00:03,000 --> 00:00:04,000\n\n8\n00:00:05,000 " \
        "--> 00:00:06,000\n42\nyears\n",
      %w[One{1/}{2/}two 42{1/}years]
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
      ["One & two{1/}three {2}x{/2} {3/}y", "Four"]
    ],
    "needs no hours, and keeps CRLF" => [
      "WEBVTT\r\n\r\n00:01.000 --> 00:02.000\r\nOne\r\ntwo\r\n",
      ["One{1/}two"]
    ]

  it("escapes what must be") do
    expect(put(open_text("WEBVTT\n\n00:01.000 --> 00:02.000\nOne", "a.vtt"), "A < b & c")).to end_with(
      "\nA &lt; b &amp; c"
    )
  end
end
