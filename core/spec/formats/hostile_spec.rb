# Damaged, hostile and wrongly named files: refused in a sentence that names the file and the reason, within
# seconds.
RSpec.describe Glossema::Formats do
  laughs = "<!DOCTYPE a [<!ENTITY a \"ha\"><!ENTITY b \"&a;&a;\">]><a>&b;</a>"
  deep = ->(count, open, close) { (open * count) + (close * count) }
  book = {
    "mimetype" => "application/epub+zip",
    "META-INF/container.xml" =>
      "<container><rootfiles><rootfile full-path=\"c.opf\" media-type=\"application/oebps-package+xml\"/>" \
      "</rootfiles></container>"
  }
  again = (1..9_000).map { |n| "<row r=\"#{n}\"><c r=\"A#{n}\" t=\"s\"><v>0</v></c></row>" }.join
  {
    "one long text named by thousands of cells" => [
      "a.xlsx",
      Files.xlsx({ "One" => "<sheetData>#{again}</sheetData>" }, "<si><t>#{"Some words. " * 500}</t></si>"),
      /would grow beyond all limits/
    ],
    "JSON that breaks off" => ["a.json", "{\"a\": \"b\"", /a\.json is damaged: it is not valid JSON/],
    "JSON of endless depth" => ["a.json", deep[3000, "[", "]"], /values are nested too deeply/],
    "YAML that cannot be read" => ["a.yml", "a: [1, 2\nb: c",
                                   /a\.yml is damaged: it is not valid YAML near line \d/],
    "YAML of endless depth" => ["a.yml", deep[400, "[", "]"], /values are nested too deeply/],
    "XML that is not well formed" => [
      "a.xml",
      "<?xml version=\"1.0\"?>\n<a>\n<b></a>",
      /a\.xml is damaged: it is not well-formed XML near line 3/
    ],
    "entities made of entities" => ["a.xml", laughs, /entities made of other entities/],
    "entities from elsewhere" => [
      "a.dita",
      "<!DOCTYPE topic [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><topic>&x;</topic>",
      /stored outside the file/
    ],
    "entities in XHTML" => [
      "a.xhtml",
      "<?xml version=\"1.0\"?><!DOCTYPE html [<!ENTITY a \"x\"><!ENTITY b \"&a;\">]><html><p>&b;</p></html>",
      /entities made of other entities/
    ],
    "a text outside any message" => [
      "a.po",
      "msgid \"a\"\nmsgstr \"b\"\n\n\"loose\"\n",
      /a\.po is damaged, line 4: there is text outside/
    ],
    "strings that do not end" => ["a.strings", "\"a\" = \"b\n", /a\.strings is damaged, line 1/],
    "a quoted cell that does not end" => [
      "a.csv",
      "a,b\n\"c,d\n",
      /a\.csv is damaged, line 2: a quoted cell has no closing/
    ],
    "a million columns" => ["a.csv", "#{"," * 1_000_000}\n", /more than 20000 columns/],
    "subtitles without a cue" => ["a.srt", "no times here", /a\.srt is damaged: it has no cues/],
    "XLIFF of another age" => [
      "a.xlf",
      "<xliff version=\"9.0\"><file/></xliff>",
      /a version that is not supported/
    ],
    "an unknown encoding" => [
      "a.xml",
      "<?xml version=\"1.0\" encoding=\"x-klingon\"?><a>b</a>",
      /which is not supported/
    ],
    "text that is not in the encoding it says" => [
      "a.xml",
      "<?xml version=\"1.0\" encoding=\"UTF-8\"?><a>\xFF</a>".b,
      /it is not valid UTF-8 text/
    ],
    "nothing at all" => ["a.md", "", /a\.md is empty/],
    "a picture called a document" => [
      "a.docx",
      "\x89PNG\r\n\x1A\n\0\0".b,
      /not in a supported format/
    ],
    "an EPUB without its package" => ["a.epub", -> { Files.zip(book) }, /the package file is missing/],
    "an EPUB protected by its publisher" => [
      "a.epub",
      -> do
        Files.zip(
          book.merge(
            "c.opf" => "<package/>",
            "META-INF/encryption.xml" => "<e><CipherReference URI=\"a.xhtml\"/></e>"
          )
        )
      end,
      /protected by its publisher/
    ],
    "a path that climbs out" => [
      "a.epub",
      -> { Files.zip(book.merge("../x" => "y")) },
      /a path outside the file/
    ],
    "a bomb" => [
      "a.ods",
      -> do
        Files.zip(
          "mimetype" => "application/vnd.oasis.opendocument.spreadsheet",
          "content.xml" => "a" * 30_000_000
        )
      end,
      /unpacks to far more/
    ],
    "a workbook with entities" => [
      "a.ods",
      -> do
        Files.zip(
          "mimetype" => "application/vnd.oasis.opendocument.spreadsheet",
          "content.xml" => laughs,
          "styles.xml" => "<a/>"
        )
      end,
      /document type declaration/
    ]
  }.each do |what, (name, bytes, reason)|
    it "refuses #{what}" do
      bytes = bytes.call if bytes.respond_to?(:call)
      started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      expect { Glossema::Document.new(bytes.b, name: name) }.to raise_error(Glossema::Refused) { |error|
        expect(error.message).to match(reason).and include(name)
        expect(error.message.lines.size).to eq(1)
      }
      expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - started).to be < 10
    end
  end

  it("refuses options that name what is not there, and says which") do
    expect { open_text("a,b\nc,d\n", "a.csv", columns: "Zebra") }.to raise_error(
      Glossema::Refused,
      "a.csv has no column “Zebra”."
    )
    expect { open_text("a,b\nc,d\n", "a.csv", target_column: "B") }.to raise_error(
      Glossema::Refused,
      /set both the source and the target column/
    )
    expect { open_text("<a>b</a>", "a.xml", rules: "<x/>") }.to raise_error(
      Glossema::Refused,
      /no its:rules element/
    )
    expect {
      open_text(
        "<a>b</a>",
        "a.xml",
        rules:
          "<its:rules xmlns:its=\"http://www.w3.org/2005/11/its\"><its:translateRule selector=\"//[\" " \
          "translate=\"no\"/></its:rules>"
      )
    }.to raise_error(Glossema::Refused, /selector/)
  end
end
