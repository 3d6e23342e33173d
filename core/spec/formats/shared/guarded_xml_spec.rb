# What a file declares is found by the parser: behind comments, in any encoding, behind what looks like a
# declaration.
RSpec.describe Glossema::Formats::GuardedXml do
  declared = '<!DOCTYPE w:document [<!ENTITY a "x">]>'
  prolog = '<?xml version="1.0" encoding="UTF-16"?>'
  comment = "<!--#{"long " * 20_000}-->"
  paragraph = "<w:p><w:r><w:t>Read &a; this.</w:t></w:r></w:p>"
  body = "<w:document #{Files::NAMESPACES}><w:body>#{paragraph}</w:body></w:document>"

  def opened(xml)
    parts = Files.parts_of(Files.docx(Files.paragraph(Files.run("Read."))))
    Glossema::Document.new(Files.zip(parts.merge("word/document.xml" => xml)), name: "a.docx")
  end

  {
    "at once" => "#{declared}#{body}",
    "behind a long comment" => "#{comment}#{declared}#{body}",
    "in UTF-16 without a mark" => "#{prolog}#{declared}#{body}".encode("UTF-16LE"),
    "behind a comment that holds a harmless one" => "<!--<!DOCTYPE a>-->#{declared}#{body}"
  }.each do |where, xml|
    it "refuses declarations #{where}" do
      expect { opened(xml) }.to raise_error(Glossema::Refused) { |error|
        expect(error.key).to eq("hostile.type-declaration")
      }
    end
  end

  it "lets a document type be named, and reads UTF-16 without a mark" do
    named = "<!DOCTYPE w:document>#{body.sub("&a; ", "")}"
    [named, "#{prolog}#{named}".encode("UTF-16BE")].each do |xml|
      expect(opened(xml).segments.map { |segment| segment.content.text }).to eq(["Read this."])
    end
  end

  {
    "entities-outside" => '<!ENTITY b SYSTEM "file:///etc/passwd">',
    "entities-of-entities" => '<!ENTITY c "x"><!ENTITY b "&c;&c;">'
  }.each do |key, inner|
    it "refuses #{key} in XML, whatever stands before them" do
      ["", "<!-- <!DOCTYPE a []> -->", comment].each do |before|
        xml = "#{before}<!DOCTYPE a [<!ENTITY d \"]>\">#{inner}]><a><p>Read &b; this.</p></a>"
        expect { Glossema::Document.new(xml, name: "a.xml") }.to raise_error(Glossema::Refused) { |error|
          expect(error.key).to eq("hostile.#{key}")
        }
      end
    end
  end
end
