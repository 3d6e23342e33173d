# Encodings: found, named, kept, and refused.
RSpec.describe Glossema::Formats::EncodedText do
  japanese = "自転車の取扱説明書です。必ずお読みください。ブレーキを確認してください。"
  russian = "Перед поездкой проверьте тормоза и шины велосипеда. Не перегружайте ящик."
  {
    "UTF-8" => ["Città – è", "UTF-8"],
    "UTF-16LE" => ["Plain words and more", "UTF-16LE"],
    "UTF-16BE" => ["Plain words and more", "UTF-16BE"],
    "Windows-1252" => ["caf\u00E9 \u2013 bar", "Windows-1252"],
    "Windows-31J" => [japanese * 3, "Windows-31J"],
    "EUC-JP" => [japanese * 3, "EUC-JP"],
    "Windows-1251" => [russian * 3, "Windows-1251"],
    "KOI8-R" => [russian * 3, "KOI8-R"]
  }.each do |encoding, (text, found)|
    it "finds #{encoding} without being told, and keeps it" do
      bytes = text.encode(encoding).b
      opened = described_class.new(bytes, "a.txt")
      expect([opened.encoding, opened.text]).to eq([found, text])
      expect(opened.bytes(opened.text)).to eq(bytes)
    end
  end

  {
    "a declaration in XML" => "<?xml version=\"1.0\" encoding=\"ISO-8859-2\"?><a>ł</a>",
    "a meta element in HTML" => "<html><head><meta charset=\"iso-8859-2\"><p>ł",
    "an old meta element" =>
      "<html><head><meta http-equiv=\"Content-Type\" content=\"text/html; charset=ISO-8859-2\"><p>ł"
  }.each do |what, text|
    it "believes #{what}" do
      bytes = text.encode("ISO-8859-2").b
      opened = described_class.new(bytes, "a", declares: true)
      expect(opened.text).to eq(text)
      expect(opened.bytes(text)).to eq(bytes)
    end
  end

  it("takes the encoding she names before all others") do
    expect(described_class.new("\xB1".b, "a.txt", wanted: "ISO-8859-2").text).to eq("ą")
  end
  it("keeps a mark") do
    expect(described_class.new("\xEF\xBB\xBFa".b, "a").then { |one| one.bytes(one.text) }).to eq(
      "\xEF\xBB\xBFa".b
    )
  end
  it("writes what an encoding lacks as the format says") do
    expect(described_class.new("caf\xE9".b, "a").bytes("ż") { |char| "&##{char.ord};" }).to eq("&#380;".b)
  end
  it("turns to UTF-8 where a format has no other way") do
    expect(described_class.new("caf\xE9".b, "a").bytes("ż")).to eq("\xEF\xBB\xBFż".b)
  end

  {
    "\x00\x01\x02abcdefgh" => false,
    "\x89PNG\r\n\x1A\n" => false,
    "PK\x03\x04aaaa" => false,
    "%PDF-1.4" => false,
    "words" => true,
    "#{"words " * 300}\x01" => true
  }.each do |bytes, text|
    it("says that #{bytes[0, 12].inspect} is #{"no " unless text}text") do
      expect(described_class.text?(bytes.b)).to be(text)
    end
  end
end
