# Subtitles as they really come: in other encodings, without numbers, with settings and notes, out of order,
# cut off. Each comes back as it was, and its cues are what a reader would say they are.
RSpec.describe "Odd subtitles" do
  # name, text → [start, end, text] of each cue
  cases = {
    "a byte order mark" => ["a.srt", "\uFEFF1\n00:00:01,000 --> 00:00:02,000\nOne\n", [[1, 2, "One"]]],
    "points for commas, and few digits" => ["a.srt", "1\n0:00:01.5 --> 0:00:02.25\nOne\n",
                                            [[1.5, 2.25, "One"]]],
    "no numbers" => ["a.srt", "00:00:01,000 --> 00:00:02,000\nOne\n\n00:00:03,000 --> 00:00:04,000\nTwo\n",
                     [[1, 2, "One"], [3, 4, "Two"]]],
    "no empty line between cues" => ["a.srt", "1\n00:00:01,000 --> 00:00:02,000\nOne\n2\n00:00:03,000 --> " \
      "00:00:04,000\nTwo", [[1, 2, "One"], [3, 4, "Two"]]],
    "several empty lines" => ["a.srt",
                              "\n\n1\n00:00:01,000 --> 00:00:02,000\nOne\n\n\n\n2\n00:00:03,000 --> " \
                                "00:00:04,000\n\n\nTwo\n\n\n", [[1, 2, "One"], [3, 4, "Two"]]],
    "numbers in the text" => ["a.srt",
                              "1\n00:00:01,000 --> 00:00:02,000\n20\nkilograms\n\n2\n00:00:03,000 --> " \
                                "00:00:04,000\n60\n", [[1, 2, "20\nkilograms"], [3, 4, "60"]]],
    "hours beyond a day" => ["a.srt", "1\n100:00:01,000 --> 100:00:02,000\nOne\n",
                             [[360_001, 360_002, "One"]]],
    "an arrow in the text" => ["a.srt", "1\n00:00:01,000 --> 00:00:02,000\nLeft --> right\n",
                               [[1, 2, "Left --> right"]]],
    "overlapping and backwards" => ["a.srt", "1\n00:00:05,000 --> 00:00:09,000\nOne\n\n2\n00:00:04,000 --> " \
      "00:00:06,000\nTwo\n", [[5, 9, "One"], [4, 6, "Two"]]],
    "old line ends" => ["a.srt", "1\r00:00:01,000 --> 00:00:02,000\rOne\rmore\r", [[1, 2, "One\nmore"]]],
    "tags that do not close" => ["a.srt", "1\n00:00:01,000 --> 00:00:02,000\n<i>One\n", [[1, 2, "One"]]],
    "WebVTT with ids, settings, regions and notes" =>
      ["a.vtt", "WEBVTT Film\n\nREGION\nid:fred\n\n" \
        "NOTE 00:00.000 --> 00:01.000\nno cue\n\nintro\n00:01.000 --> " \
        "00:02.000 region:fred align:left\nOne &lt;3\n\n01:00:03.000 --> 01:00:04.000\n- Two\n- Three\n",
       [[1, 2, "One <3"], [3603, 3604, "- Two\n- Three"]]],
    "WebVTT with times inside and voices" =>
      ["a.vtt", "WEBVTT\n\n00:01.000 --> 00:02.000\n<v Ann>One <00:01.500>two</v>\n", [[1, 2, "One two"]]],
    "a WebVTT without cues" => ["a.vtt", "WEBVTT\n\nNOTE nothing yet\n", []]
  }

  def shown(document)
    document.units.map do |unit|
      cue = unit.cue
      [cue.start, cue.finish, unit.content.text]
    end
  end

  cases.each do |name, (file, text, cues)|
    it "are read with #{name}, and come back as they were" do
      document = open_text(text, file)
      expect(shown(document)).to eq(cues)
      expect(document.write({})).to eq(text.b)
    end

    next if cues.empty?

    it "are written with #{name}: each text in its place, all else the same" do
      document = open_text(text, file)
      targets = document.segments.to_h { |one| [one.id, Glossema::Content.new(["Ü ", *one.content.items])] }
      written = Glossema::Document.new(document.write(targets), name: file, language: "en")
      expect(shown(written)).to eq(cues.map { |start, finish, own| [start, finish, "Ü #{own}"] })
      expect(document.file.untouched(written.file)).to eq([])
    end
  end

  {
    "UTF-16LE with a mark" => ->(text) { "\uFEFF#{text}".encode("UTF-16LE").b },
    "UTF-16BE with a mark" => ->(text) { "\uFEFF#{text}".encode("UTF-16BE").b },
    "Windows-1252" => ->(text) { text.encode("Windows-1252").b }
  }.each do |name, encoded|
    it "keep their encoding: #{name}" do
      text = "1\r\n00:00:01,000 --> 00:00:02,000\r\nDas Öl läuft über die Räder\r\n"
      document = Glossema::Document.new(encoded[text], name: "a.srt", language: "de")
      expect(document.units.first.content.text).to eq("Das Öl läuft über die Räder")
      target = Glossema::Content.text("L’olio è là")
      written = document.write({ document.segments.first.id => target })
      expect(written).to eq(encoded[text.sub("Das Öl läuft über die Räder", "L’olio è là")])
    end
  end

  describe "changed and changed back" do
    def random_file(random, breaks)
      at = 0
      cues = Array.new(random.rand(2..12)) do |index|
        start = at + random.rand(40..3000)
        at = start + random.rand(800..6000)
        lines = Array.new(random.rand(1..2)) {
          Array.new(random.rand(2..6)) {
            %w[low <i>box</i> 20 and go].sample(random: random)
          }.join(" ")
        }
        times = [start, at].map { |one|
          Glossema::Timing::Cue.clock(Rational(one, 1000)).tr(".", ",")
        }.join(" --> ")
        [index + 1, times, *lines].join(breaks)
      end
      cues.join(breaks * 2) + breaks
    end

    it "are byte for byte what they were, whatever the file is" do
      retiming = Glossema::Timing::Retiming.new(Glossema::Formats::Subrip::ONE_TIME)
      60.times do |seed|
        random = Random.new(seed)
        text = random_file(random, ["\n", "\r\n"].sample(random: random))
        count = retiming.spots(text).size
        first = random.rand(1..count)
        by = random.rand(1..5000) / 1000.0
        shift = { "act" => "shift", "from" => first, "to" => count, "by" => by.to_s }
        expect(retiming.apply(retiming.apply(text, [shift]), [{ **shift, "by" => "-#{by}" }])).to eq(text)
        parted = retiming.apply(text,
          [{ "act" => "split", "cue" => first, "at" => "1", "gap" => "0.08", "words" => 1 }])
        expect(retiming.spots(parted).size).to eq(count + 1)
        numbers = retiming.spots(parted).map { |spot| parted[spot.number[0]...spot.number[1]].to_i }
        expect(numbers).to eq((1..(count + 1)).to_a)
      end
    end
  end
end
