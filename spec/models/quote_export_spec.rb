# A quote as a sheet: its formulas, computed by LibreOffice, come to what the core computes, for every unit,
# rounding, minimum and rush of the cases computed by hand.
RSpec.describe Quote::Export do
  cases = JSON.parse(Rails.root.join("core/spec/cases/quote.json").read)
  let(:user) { make_user }

  def quote(given)
    nothing = { "segments" => 0, "words" => 0, "characters" => 0 }
    bands = Glossema::Counting::Bands::NAMES.to_h { |band| [band, nothing.merge(given["bands"].fetch(band, {}))] }
    file = { "name" => "=1+1.txt", "bands" => bands }
    rates = Glossema::Counting::Rates.new(given["rates"])
    Quote.new(
      user: user,
      report: Report.new(figures: { "bands" => bands, "files" => [file] }),
      number: "1",
      rates: given["rates"],
      figures: Glossema::Counting::Quote.new(bands, rates).to_h,
      valid_until: Date.new(2027, 1, 1)
    )
  end

  # The first sheet and the second of each workbook, as LibreOffice computes them.
  def computed(folder, paths)
    every_sheet = "csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,true,false,false,false,-1"
    Open3.capture2e("soffice", "-env:UserInstallation=file://#{folder}/office", "--headless", "--convert-to",
      every_sheet, "--outdir", folder, *paths)
    paths.map { |path| %w[Quote Files].map { |sheet| CSV.read(path.sub(/\.xlsx\z/, "-#{sheet}.csv")) } }
  end

  it "computes itself to the same sums, in whatever is paid by" do
    Dir.mktmpdir do |folder|
      paths =
        cases.each_with_index.map do |given, index|
          File.join(folder, "#{index}.xlsx").tap { |path|
            File.binwrite(path, described_class.new(quote(given)).xlsx)
          }
        end
      found =
        computed(folder, paths).map do |sheet, files|
          expect(files[1].first).to eq("=1+1.txt")
          rows = sheet.to_h { |row| [row.first, row] }
          [rows["All"][4], *["Net", "Rush fee", "Total"].map { |name|
            rows[name].last
          }].map { |text| BigDecimal(text) }
        end
      wanted = cases.map { |given|
        given.values_at("weighted_words", "net", "rush", "total").map { |sum|
          BigDecimal(sum)
        }
      }
      expect(found).to eq(wanted)
    end
  end

  it "leaves as CSV and XML too, and in no other form" do
    export = described_class.new(quote(cases[2]))
    expect(CSV.parse(export.bytes("csv")).last).to eq(["total", nil, nil, nil, "241.50"])
    xml = Nokogiri.XML(export.bytes("xml"))
    expect([xml.at("total").text, xml.css("line").size,
            xml.at("quote")["currency"]]).to eq(["241.50", 8, "EUR"])
    expect { export.bytes("pdf") }.to raise_error(have_attributes(code: "takeout-unknown"))
  end

  it "names counts as GMX-V does, where it has a name" do
    project = make_project(user)
    report = Report.start(project, memories: [], made: "hand")
    count_now(report)
    export = Report::Export.new(report.reload)
    xml = Nokogiri.XML(export.bytes("xml")).remove_namespaces!
    counts = xml.xpath("/metrics/project/count").to_h { |count| [count["type"], count["value"].to_i] }
    expect(counts).to include("TotalWordCount" => 28, "RepetitionMatchedWordCount" => 4,
      "ExactMatchedWordCount" => 0)
    expect(xml.xpath("/metrics/resource").map { |one| one["name"] }).to eq(["manual.docx"])
    expect(CSV.parse(export.bytes("csv")).last.first(3)).to eq(%w[All 5 28])
  end
end
