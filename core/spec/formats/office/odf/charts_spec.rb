# Charts in ODF: texts of their own are translated, copies of cells follow the cells.
RSpec.describe Glossema::Formats::Odf::Charts do
  spaces =
    %w[office text table draw chart xlink].to_h do |name|
      [name, "urn:oasis:names:tc:opendocument:xmlns:#{name}:1.0"]
    end
  names = spaces.map { |name, uri| "xmlns:#{name}=\"#{uri}\"" }.join(" ")
  cell = ->(text) {
    "<table:table-cell office:value-type=\"string\"><text:p>#{text}</text:p></table:table-cell>"
  }
  object = "<draw:frame><draw:object xlink:href=\"./Object 1\"/></draw:frame>"
  bodies = {
    "odt" => ["text", Glossema::Formats::Odt, "<text:p>Spring</text:p><text:p>#{object}</text:p>"],
    "odp" => [
      "presentation", Glossema::Formats::Odp,
      "<draw:page>#{object}<draw:frame><draw:text-box><text:p>Spring</text:p></draw:text-box></draw:frame>" \
        "</draw:page>"
    ],
    "ods" => [
      "spreadsheet", Glossema::Formats::Ods,
      "<table:table table:name=\"1\"><table:table-row>#{cell.call("Spring")}</table:table-row>" \
        "<table:shapes>#{object}</table:shapes></table:table>"
    ]
  }

  define_method(:chart_in) do |ending, address|
    body, format, inner = bodies.fetch(ending)
    chart =
      "<chart:chart><chart:title><text:p>Bikes</text:p></chart:title><chart:plot-area>" \
        "<chart:series chart:values-cell-range-address=\"#{address}\"><chart:data-point><chart:data-label>" \
        "<text:p>Record</text:p></chart:data-label></chart:data-point></chart:series></chart:plot-area>" \
        "<table:table table:name=\"local-table\"><table:table-row>#{cell.call("Spring")}#{cell.call("12")}" \
        "</table:table-row></table:table></chart:chart>"
    wrapped = ->(text) {
      "<office:document-content #{names}><office:body>#{text}</office:body></office:document-content>"
    }
    bytes =
      zip(
        "mimetype" => format::MEDIA_TYPE,
        "content.xml" => wrapped.call("<office:#{body}>#{inner}</office:#{body}>"),
        "styles.xml" => "<office:document-styles #{names}/>",
        "Object 1/content.xml" => wrapped.call("<office:chart>#{chart}</office:chart>")
      )
    Glossema::Document.new(bytes, name: "a.#{ending}", language: "en")
  end

  def chart_of(document)
    targets = document.segments.to_h { |one| [one.id, Glossema::Pseudo.translate(one.content)] }
    written = document.write(targets, target_language: "it")
    expect(Glossema::Proof.new(document, written, targets).differences).to eq([])
    Nokogiri.XML(parts_of(written)["Object 1/content.xml"]).xpath("//*[local-name()='p']").map(&:text)
  end

  bodies.each_key do |ending|
    it "with data of their own are texts in #{ending}" do
      document = chart_in(ending, "local-table.B1:.B2")
      expect(written_of(document)).to contain_exactly("Spring", "Bikes", "Record", "Spring")
      expect(chart_of(document)).to match([/\AƁ/, /\AŔ/, /\AŠ/, "12"])
    end

    it "of cells elsewhere follow those cells in #{ending}" do
      document = chart_in(ending, "1.A1:1.A2")
      expect(written_of(document)).to contain_exactly("Spring", "Bikes", "Record")
      expect(chart_of(document)).to match([/\AƁ/, /\AŔ/, /\AŠ/, "12"])
    end
  end
end
