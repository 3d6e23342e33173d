# Source text left in a written file, as a reading that knows nothing of our readers sees it.
RSpec.describe Glossema::Proof::SourceLeft do
  def left(file, *pairs) = described_class.find(file.b, pairs)

  let(:chain) { ["Check the chain before each ride.", "Controllare la catena prima di ogni uscita."] }

  it "is found in markup, between runs, in escapes and other encodings" do
    ["<p>Check the <b>chain</b> before&#160;each ride.</p>", "Check the chain\n before each ride.",
     "CHECK THE CHAIN BEFORE EACH RIDE!", '{"a":"Check the ch\\u0061in before each ride"}',
     "\uFEFFCheck the chain before each ride.".encode("UTF-16LE")].each do |file|
      expect(left(file, chain)).to eq([chain.first]), file.inspect
    end
  end

  it "is nothing where the text was translated, stays by choice, or stands in a translation" do
    expect(left("<p>Controllare la catena prima di ogni uscita.</p>", chain)).to eq([])
    expect(left("Check the chain before each ride.", [chain.first, chain.first])).to eq([])
    quoted = ["Press “Check the chain before each ride.”", "Premere “Check the chain before each ride.”"]
    expect(left("Premere Check the chain before each ride.", chain, quoted)).to eq([])
  end

  it "does not tell short texts, which stand somewhere by chance" do
    expect(left("Stop now, OK", ["Stop now", "Fermarsi"])).to eq([])
  end

  Dir[File.join(__dir__, "../../../../shared/samples/{docx,odt,pptx}/*")].first(40).each do |path|
    it "is told of #{File.basename(path)} before it is translated, and next to nothing after" do
      bytes = File.binread(path)
      document = Glossema::Document.new(bytes, name: File.basename(path), language: "en")
      long = document.segments.map { |one| one.content.text.scan(/\p{L}|\p{N}/).join }.uniq
        .count { |text| text.size > 40 }
      targets = document.segments.to_h { |one| [one.id, Glossema::Pseudo.translate(one.content)] }
      before = Glossema::Proof.new(document, bytes, targets).source_left
      after = Glossema::Proof.new(document, document.write(targets), targets).source_left
      expect(before.size).to be >= long / 2
      expect(after.size).to be <= before.size / 20, after.first(5).inspect
    end
  end
end
