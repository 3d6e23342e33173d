# Files of two languages paired by name and length.
RSpec.describe Glossema::Alignment::Pairing do
  def pairs(*rows)
    files = rows.map { |name, lang, size|
      described_class::Named.new(name: name, lang: lang, size: size || 1000)
    }
    described_class.pairs(files, "en", "it").map { |pair| pair.map { |at| files[at].name } }
  end

  it "pairs by what names have in common beside marks of languages" do
    expect(pairs(%w[guide-it.docx it], %w[manual_en.docx en], %w[guide-en.docx en],
      %w[manual_it-IT.docx it])).to eq(
      [%w[manual_en.docx manual_it-IT.docx], %w[guide-en.docx guide-it.docx]]
    )
  end

  it "pairs the only two whatever they are called" do
    expect(pairs(%w[course.docx en], %w[corso.pdf it])).to eq([%w[course.docx corso.pdf]])
  end

  it "goes by length where names do not tell, and leaves out what has no partner" do
    expect(pairs(["a1.txt", "en", 900], ["a2.txt", "en", 90], ["a3.txt", "it", 950],
      ["b.txt", "de", 90])).to eq(
      [%w[a1.txt a3.txt]]
    )
  end
end
