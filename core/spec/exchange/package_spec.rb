# Packages: a manifest that names each part with its checksum.
RSpec.describe Glossema::Exchange::Package do
  let(:parts) { { "originals/a.txt" => "Check the chain.", "text/1.xlf" => "<xliff/>" } }
  let(:bytes) { described_class.write("hand-over", { "token" => "t1", "from" => "Ines" }, parts) }

  def read(given = bytes) = described_class.new(given, "p.zip")

  def changed(path, text)
    Zip::OutputStream.write_buffer { |out|
      Zip::File.open_buffer(StringIO.new(bytes)).each do |entry|
        out.put_next_entry(entry.name)
        was = entry.get_input_stream.read
        out.write(if entry.name == path
          text.respond_to?(:call) ? text.call(was) : text
        else
          was
        end)
      end
    }.string
  end

  it "comes out as it went in" do
    expect(read).to have_attributes(kind: "hand-over", about: { "token" => "t1", "from" => "Ines" },
      paths: parts.keys)
    expect(read.part("originals/a.txt")).to eq("Check the chain.")
    expect(described_class.package?(bytes)).to be(true)
    expect(described_class.package?("PK")).to be(false)
  end

  it "refuses what it does not name" do
    expect { read.part("other") }.to raise_error(Glossema::Refused) { |error|
      expect(error.code).to eq("package-altered")
    }
  end

  {
    "an altered part" => ["package-altered", ->(spec) { spec.changed("text/1.xlf", "<xliff></xliff>") }],
    "a newer format" => ["package-newer", ->(spec) {
      spec.changed("manifest.json", ->(text) { text.sub('"format": 1', '"format": 2') })
    }],
    "a foreign manifest" => ["package-none", ->(spec) { spec.changed("manifest.json", "{}") }],
    "a manifest that breaks off" => ["package-none", ->(spec) { spec.changed("manifest.json", "{") }],
    "a package that is cut off" => [/damaged|archive|locked|format/, ->(spec) { spec.bytes[0, 200] }]
  }.each do |what, (code, making)|
    it "refuses #{what}" do
      expect { read(making.call(self)) }.to raise_error(Glossema::Refused) { |error|
        expect(error.code).to match(code)
      }
    end
  end
end
