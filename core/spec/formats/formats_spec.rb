# The registry: formats announce themselves, and say which options they have.
RSpec.describe Glossema::Formats do
  it "knows every format file that is there, the surest signs first" do
    files = Dir[File.expand_path(
      "../../lib/glossema/formats/{office,markup,software,timed,bilingual,plain}/*.rb", __dir__
    )]
    announcing = files.select { |path| File.read(path).include?("Formats.announce(self") }
    expect(described_class.all.size).to eq(announcing.size)
    expect(described_class.all.first(3).map { |format| format::NAME }).to eq(%w[DOCX PPTX XLSX])
    expect(described_class.all.last).to be(described_class::PlainText)
  end

  it "tells options by their kind, without what only programs set" do
    options = described_class.options_of(described_class::Csv).to_h { |option| [option["name"], option] }
    expect(options["separator"]).to include("kind" => "choice", "choices" => include("comma"),
      "default" => "")
    expect(options["columns"]).to include("kind" => "text")
    expect(described_class.options_of(described_class::Po).map { |option|
      option["name"]
    }).to eq(%w[encoding])
  end

  it "takes from what is given only what a format has, of its kind" do
    given = { "comments" => "true", "hidden" => "x", "unknown" => true, "source_column" => "A" }
    expect(described_class.permitted(described_class::Docx, given)).to eq(
      "comments" => true, "hidden" => false, "source_column" => "A"
    )
  end

  it "refuses an option the format does not have, and names those it has" do
    open = -> { Glossema::Document.new("One.", name: "a.txt", options: { "comments" => true }) }
    expect(&open).to raise_error(Glossema::Refused,
      "a.txt is in Text, which has no option “comments”. Options: paragraphs, encoding.")
  end

  it "passes over what only programs set" do
    document = Glossema::Document.new("One.", name: "a.txt", options: { "target_language" => "it" })
    expect(document.segments.size).to eq(1)
  end
end
