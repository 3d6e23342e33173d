# Names of uploads as they are kept.
RSpec.describe UploadName do
  {
    "manual.docx" => "manual.docx", "C:\\Users\\x\\manual.docx" => "manual.docx",
    "../../etc/passwd" => "passwd",
    "a\u0000b\n.txt" => "ab.txt", "\u202Etxt.exe" => "txt.exe", " .. " => "file", "" => "file", nil => "file",
    "über 漢字.txt" => "über 漢字.txt", "a\xFFb.txt" => "ab.txt", "\u200B.txt" => ".txt"
  }.each do |given, kept|
    it("keeps #{given.inspect} as #{kept.inspect}") { expect(described_class.clean(given)).to eq(kept) }
  end

  it "keeps the ending of an endless one" do
    expect(described_class.clean("#{"n" * 4_000}.docx")).to eq("#{"n" * 175}.docx")
  end
end
