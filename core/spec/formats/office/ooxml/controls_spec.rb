# Words of form controls in DOCX and PPTX.
RSpec.describe Glossema::Formats::Ooxml::Controls do
  let(:list) do
    "<w:sdt><w:sdtPr><w:dropDownList><w:listItem w:value=\"Choose one\"/><w:listItem " \
      "w:displayText=\"By rail\" w:value=\"t\"/></w:dropDownList></w:sdtPr><w:sdtContent>#{run("By rail")}" \
      "</w:sdtContent></w:sdt>"
  end
  let(:field) do
    "<w:r><w:fldChar w:fldCharType=\"begin\"><w:ffData><w:helpText w:type=\"text\" w:val=\"Your town\"/>" \
      "<w:statusText w:type=\"autoText\" w:val=\"Entry\"/><w:ddList><w:listEntry " \
      "w:val=\"Ford\"/></w:ddList>" \
      "</w:ffData></w:fldChar></w:r><w:r><w:instrText>FORMDROPDOWN</w:instrText></w:r>" \
      "<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>"
  end

  it "takes choices and helps, and gives words to a choice that showed its value" do
    made = document(paragraph(run("Send it "), list) + paragraph(run("Town: "), field))
    expect(made.segments.map { |segment| segment.content.text })
      .to eq(["Send it By rail", "Town:", "Choose one", "By rail", "Your town", "Ford"])
    targets = made.segments.to_h { |segment| [segment.id, Glossema::Pseudo.translate(segment.content)] }
    bytes = made.write(targets)
    expect(Glossema::Proof.new(made, bytes, targets).differences.map(&:message)).to eq([])
    expect(parts_of(bytes)["word/document.xml"])
      .to match(/w:value="Choose one" w:displayText="Ç/)
      .and match(/w:displayText="Ɓý [^"]*" w:value="t"/)
      .and match(/helpText w:type="text" w:val="Ý/)
      .and include("w:type=\"autoText\" w:val=\"Entry\"")
  end

  it "leaves the file as it was when nothing changes" do
    made = document(paragraph(run("Send it "), list))
    same = made.write(made.segments.to_h { |segment| [segment.id, segment.content] })
    expect(parts_of(same)["word/document.xml"]).not_to include("displayText=\"Choose")
  end
end
