# Plain text: encoding, mark and line ends come back as they were.
RSpec.describe Glossema::Formats::PlainText do
  {
    "UTF-8" => "Ciao. Città!\nFine".b,
    "UTF-8 with a mark and CRLF" => "\xEF\xBB\xBFUno.\r\n\r\nDue è\r\n".b,
    "UTF-16LE" => "\xFF\xFE".b + "Uno due.\nTre".encode("UTF-16LE").b,
    "UTF-16BE without a mark" => "Plain words here.\nMore words".encode("UTF-16BE").b,
    "Windows-1252" => "caf\xE9 \x96 fine\rend".b,
    "mixed line ends" => "a\r\nb\nc\r\n\n d".b
  }.each do |name, bytes|
    it "keeps #{name}, byte for byte" do
      opened = Glossema::Document.new(bytes, name: "a.txt", language: "it")
      expect(opened.write({})).to eq(bytes)
      targets =
        opened.segments.to_h { |segment| [segment.id, Glossema::Content.text(segment.content.text.swapcase)] }
      written = opened.write(targets)
      expect(Glossema::Proof.new(opened, written, targets).differences).to eq([])
      expect(Glossema::Document.new(written, name: "a.txt", language: "it").file.encoding).to eq(
        opened.file.encoding
      )
    end
  end

  it "takes a line as a paragraph, or a block between empty lines" do
    text = "One line\ngoes on.\n\nNext block."
    lines = Glossema::Document.new(text, name: "a.txt", language: "en")
    blocks =
      Glossema::Document.new(text, name: "a.txt", language: "en", options: { "paragraphs" => "blank-line" })
    expect(lines.units.map { |unit| unit.content.text }).to eq(["One line", "goes on.", "Next block."])
    expect(blocks.units.map { |unit| unit.content.text }).to eq(["One line\ngoes on.", "Next block."])
  end

  it "writes letters the old encoding cannot hold as UTF-8" do
    opened = Glossema::Document.new("caf\xE9".b, name: "a.txt", language: "fr")
    written = opened.write({ opened.segments.first.id => Glossema::Content.text("żółw") })
    expect(written).to eq("\xEF\xBB\xBF".b + "żółw".b)
  end
end
