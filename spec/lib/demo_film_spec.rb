# The film of the demo and its subtitles.
require Rails.root.join("demo/film").to_s

RSpec.describe Demo::Film do
  it "has 48 cues in order, none over another, some too fast in Italian, some sentences over several" do
    cues = described_class.cues
    expect(cues.size).to eq(48)
    expect(cues.each_cons(2).map { |one, other| other.start - one.finish }).to all(be >= 80)
    expect(cues.last.finish).to be_between(180_000, described_class::SECONDS * 1000)
    document = Glossema::Document.new(described_class.subrip, name: "film.srt", language: "en")
    shown = document.units.map { |unit| [unit.cue, unit.content.text] }
    expect(Glossema::Timing::Sentences.new("en").groups(shown)).to include([4, 5], [11, 12])
    over = cues.zip(shown).select { |cue, (time, _)|
      cue.target && Glossema::Timing::Meters.new(time, cue.target).over(Glossema::Timing::Limits.new).any?
    }
    expect(over.size).to be_between(1, 4)
  end

  it "is a WebM of the length asked for, with picture and sound" do
    Dir.mktmpdir do |folder|
      path = described_class.write(File.join(folder, "film.webm"), seconds: 3)
      wanted = "format=duration:stream=codec_name"
      facts, = Open3.capture2("ffprobe", "-v", "error", "-show_entries", wanted, "-of", "json", path)
      facts = JSON.parse(facts)
      expect(facts["streams"].map { |stream| stream["codec_name"] }).to eq(%w[vp8 opus])
      expect(facts.dig("format", "duration").to_f).to be_within(0.2).of(3)
      expect(Glossema::Timing::Film.kind(File.binread(path, 4096))).to eq("video/webm")
    end
  end
end
