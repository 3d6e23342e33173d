# Translations put together from smaller parts.
RSpec.describe Glossema::Matching::Assembly do
  let(:known) do
    { "the rear wheel" => ["la ruota posteriore"], "before every ride" => ["prima di ogni uscita"],
      "check" => ["controllare"], "every" => ["ogni"] }
  end
  # Terms are found wherever they stand.
  let(:terms) { { "brake pads" => "pastiglie", "wheel" => "ruota" } }

  Phrases = Struct.new(:table) do
    def translations(texts) = texts.to_h { |text| [text, table[text.downcase].to_a] }
  end

  def put_together(written)
    content = Glossema::Content.from_written(written)
    described_class.new(Phrases.new(known)) do |text|
      terms.filter_map do |term, target|
        at = text.index(term) or next
        described_class::Part.new(at, at + term.length, target, "term")
      end
    end.assemble(content)
  end

  {
    "Check the rear wheel before every ride." =>
      ["Controllare la ruota posteriore prima di ogni uscita.", 7, %w[phrase]],
    "Check the brake pads." => ["Controllare the pastiglie.", 3, %w[term phrase]],
    "Check {1}the rear wheel{/1}." => ["Controllare {1}la ruota posteriore{/1}.", 4, %w[phrase]]
  }.each do |source, (target, words, kinds)|
    it "makes #{target.inspect} of #{source.inspect}" do
      result = put_together(source)
      expect(result.target.written).to eq(target)
      expect([result.known, result.kinds.sort]).to eq([words, kinds.sort])
    end
  end

  it "takes the longer part where two overlap, and no phrase over the end of a sentence" do
    expect(put_together("Check the rear wheel").target.text).to eq("Controllare la ruota posteriore")
    expect(put_together("Every. Check").target.text).to eq("Ogni. Controllare")
  end

  it "gives nothing where less than half of the words are known, or there is one alone" do
    expect(put_together("Oil the chain and check it now")).to be_nil
    expect(put_together("Check")).to be_nil
  end
end
