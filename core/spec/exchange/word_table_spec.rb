# A table as DOCX: written, opened by a word processor, and read with tracked changes in it.
RSpec.describe Glossema::Exchange::WordTable do
  def table(rows)
    columns = [described_class::Column.new(heading: "No.", share: 20),
               described_class::Column.new(heading: "نص", share: 80, lang: "ar")]
    described_class.new(title: "Title", paragraphs: ["Read this."], columns: columns, rows: rows).bytes
  end

  it "reads what it wrote, with line ends, marks and texts from right to left" do
    rows = [["1", "one & <two>\nlines"], ["2", "سلام"], ["3", ""]]
    expect(described_class.rows(table(rows), "t.docx")).to eq([["No.", "نص"], *rows])
  end

  it "counts what was inserted with tracked changes, and not what was deleted" do
    bytes = table([["1", "old word"]])
    changed = Zip::OutputStream.write_buffer do |zip|
      Zip::File.open_buffer(StringIO.new(bytes)).each do |entry|
        zip.put_next_entry(entry.name)
        text = entry.get_input_stream.read.force_encoding("UTF-8")
        zip.write(text.sub(%r{<w:r>(?:(?!<w:r>).)*old word</w:t></w:r>}m, <<~XML))
          <w:del w:id="1" w:author="A"><w:r><w:delText>old</w:delText></w:r><w:r><w:t>left over</w:t></w:r></w:del>
          <w:ins w:id="2" w:author="A"><w:r><w:t>new</w:t><w:br/><w:t xml:space="preserve"> line</w:t></w:r></w:ins>
        XML
      end
    end
    expect(described_class.rows(changed.string, "t.docx").last).to eq(["1", "new\n line"])
  end

  it "refuses what is no document" do
    expect { described_class.rows("PK\x03\x04broken", "x.docx") }.to raise_error(Glossema::Refused)
  end
end
