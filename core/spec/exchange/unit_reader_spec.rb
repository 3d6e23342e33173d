# The units of exchange files, in whatever encoding and packing they come.
RSpec.describe Glossema::Exchange::UnitReader do
  def units(bytes, name = "m.tmx")
    rows, reach = [], []
    described_class.new(StringIO.new(bytes), name, %w[en it]).each_slice { |slice, at|
      rows.concat(slice)
      reach << at
    }
    @reach = reach.last
    rows.map { |row| [row.source, row.target] }
  end

  def packed(bytes) = Zlib.gzip(bytes)

  tmx = "<?xml version=\"1.0\"?><tmx version=\"1.4\"><header/><body><tu><tuv xml:lang=\"en\">" \
    "<seg>A café</seg></tuv><tuv xml:lang=\"it\"><seg>Un caffè</seg></tuv></tu></body></tmx>"
  xliff = "<?xml version=\"1.0\" encoding=\"UTF-16\"?><xliff version=\"1.2\"><file original=\"a\" " \
    "source-language=\"en\" target-language=\"it\" datatype=\"plaintext\"><body>" \
    "<trans-unit id=\"1\"><source>A café</source>" \
    "<target>Un caffè</target></trans-unit></body></file></xliff>"
  marks = { "UTF-16LE" => "\xFF\xFE".b, "UTF-16BE" => "\xFE\xFF".b }

  { "m.tmx" => tmx, "m.xlf" => xliff }.each do |name, text|
    marks.each do |encoding, mark|
      ["".b, mark].each do |beginning|
        it "reads #{name} in #{encoding} #{"without " if beginning.empty?}a mark" do
          expect(units(beginning + text.encode(encoding).b, name)).to eq([["A café", "Un caffè"]])
        end
      end
    end
  end

  it "reads what gzip packed, in one piece or several, and says how far it is in the file" do
    bytes = packed(tmx)
    expect(units(bytes, "m.tmx.gz")).to eq([["A café", "Un caffè"]])
    expect(@reach).to be <= bytes.bytesize
    expect(units(packed(tmx[0, 100]) + packed(tmx[100..]), "m.tmx.gz")).to eq([["A café", "Un caffè"]])
    expect(units(packed("en\tit\nA cat\tUn gatto\n"), "m.tsv.gz")).to eq([["A cat", "Un gatto"]])
  end

  it "refuses what is damaged in its packing" do
    bytes = packed(tmx)
    [bytes[0, 40], bytes[0, 30] + "x" + bytes[31..]].each do |broken|
      expect { units(broken, "m.tmx.gz") }.to raise_error(Glossema::Refused, /m.tmx.gz is damaged/)
    end
  end
end
