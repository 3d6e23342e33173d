# Translations go to the texts they were made for, whatever a later reader finds under the same ids.
require_relative "support/frozen"

RSpec.describe Glossema::Placement do
  def read(text) = Glossema::Document.new(text, name: "a.txt", language: "en")

  let(:document) { read("Check the chain.\n\nStop now.\n\nOil it.\n\nStop now.") }
  let(:stored) { document.segments.map { |one| [one.id, one.content.written] } }

  def placed(list)
    described_class.new(document, list).indexes.transform_values { |index| list[index].last }
  end

  def refusal(list)
    described_class.new(document, list)
    nil
  rescue Glossema::Refused => e
    e.message
  end

  it "finds every text at its place, also where the ids were others" do
    ids = stored.map(&:first)
    [stored, ids.reverse.zip(stored.map(&:last)), ids.rotate.zip(stored.map(&:last)),
     stored.map { |id, source| ["x#{id}", source] }].each do |list|
      expect(placed(list)).to eq(stored.to_h)
    end
  end

  it "refuses texts that came, went or are others, and names them" do
    expect(refusal(stored.drop(1))).to include("“a.txt”", "+ “Check the chain.”")
    expect(refusal([*stored, ["u9:1", "Gone."]])).to include("5 “Gone.”")
    other = stored.map { |id, source| [id, source.sub("Oil", "Grease")] }
    expect(refusal(other)).to include("3 “Grease it.”")
  end

  it "covers every format there is" do
    names = Frozen.originals.map { |path| Frozen.record_of(path)["format"] }.uniq
    expect(Glossema::Formats.all.map { |format| format::NAME } - names).to eq([])
  end

  # A file that is read otherwise since is written as it was then, or refused; all others are read as they
  # were. Where this fails a reader finds something else: raise READER_VERSION, and freeze anew.
  Frozen.originals.each do |path|
    version, record = Frozen.version_of(path), Frozen.record_of(path)
    it "writes #{File.basename(path)}, read by version #{version}, as it was written then" do
      opened = Frozen.read(path, breaks: record["breaks"])
      list = record["segments"]
      indexes = described_class.new(opened, list).indexes
      expect(indexes.map { |id, at| [id, list[at].last] }).to eq(list) if Frozen.last?(path)
      targets = opened.segments.to_h do |one|
        [one.id, Frozen.target(one.content, list[indexes[one.id]].last)]
      end
      written = opened.write(targets, target_language: "it")
      expect(Frozen.parts(written.b)).to eq(record["written"])
    rescue Glossema::Refused => e
      raise unless e.code == "read-otherwise" && !Frozen.last?(path)
    end
  end
end
