# Every format on its demo file: found by what is in it, the same when nothing changes, proved when everything
# does.
RSpec.describe Glossema::Formats do
  folder = Files::DEMO
  formats = {
    "page.html" => "HTML",
    "guide.xhtml" => "HTML",
    "notes.md" => "Markdown",
    "task.dita" => "XML",
    "article.dbk" => "XML",
    "catalogue.xml" => "XML",
    "diagram.svg" => "XML",
    "app.resx" => "XML",
    "film.ttml" => "TTML",
    "app.json" => "JSON",
    "app_en.arb" => "JSON",
    "app.yml" => "YAML",
    "app.po" => "PO",
    "app.properties" => "Java properties",
    "app.strings" => "Apple strings",
    "strings.xml" => "Android strings",
    "panel.ini" => "INI",
    "prices.csv" => "CSV",
    "parts.tsv" => "TSV",
    "film.srt" => "SubRip",
    "film.vtt" => "WebVTT",
    "course.xlf" => "XLIFF",
    "course-2.xlf" => "XLIFF",
    "course.tmx" => "TMX",
    "quickstart.txt" => "Text",
    "kiln.epub" => "EPUB",
    "dealer.odp" => "ODP",
    "dealer.pptx" => "PPTX",
    "prices.ods" => "ODS",
    "prices.xlsx" => "XLSX",
    "sizes.odt" => "ODT",
    "sizes.docx" => "DOCX"
  }

  it("has a demo file for every format, and no other") do
    expect(formats.keys).to match_array(Dir.children(folder))
    expect(formats.values.uniq).to match_array(described_class.all.map { |format| format::NAME })
  end

  formats.each do |name, format|
    it "#{name} is #{format}: untouched it is the same, translated it is proved and shown" do
      bytes = File.binread(File.join(folder, name))
      document =
        Glossema::Document.new(bytes, name: name, language: "en", options: { "target_language" => "pl" })
      expect(document.format::NAME).to eq(format)
      expect(document.segments).not_to be_empty
      expect(same(document)).to eq(bytes)
      before = document.preview { |segment| segment.content.written }
      written = pseudo(document, target_language: "pl")
      expect(document.preview { |segment| segment.content.written }).to eq(before)
      expect(pseudo(document, target_language: "pl")).to eq(written)
      again =
        Glossema::Document.new(written.b, name: name, language: "en", options: { "target_language" => "pl" })
      expect(
        again.segments.map { |segment| (document.bilingual? ? segment.target : segment.content).text }.join
      ).not_to match(/\b(?:the|and|Price|belt)\b/)

      shown = []
      html = document.preview { |segment| shown.push(segment.id).last }
      kept_from_page =
        document
          .segments
          .reject { |segment| shown.include?(segment.id) }
          .map { |segment| segment.unit.block }
          .uniq
      expect(kept_from_page - %w[title alt-text property header footer]).to eq([])
      expect(Nokogiri::HTML5.fragment(html, max_errors: 20).errors.map(&:message)).to eq([])
    end
  end

  it "finds a format by what is in the file where that says so, whatever it is called" do
    %w[
      page.html catalogue.xml strings.xml course.xlf course.tmx film.vtt film.srt app.po kiln.epub
      prices.xlsx prices.ods dealer.pptx sizes.docx
    ].each do |name|
      expect([name, described_class.detect(File.binread(File.join(folder, name)), "upload.bin")::NAME]).to eq(
        [name, formats.fetch(name)]
      )
    end
  end
end
