# What terms are likely translated as, told from pairs of texts.
RSpec.describe Glossema::Terms::Translations do
  pairs = [
    ["Check the brake pads.", "Controllare le pastiglie dei freni."],
    ["Replace the brake pad and the chain.", "Sostituire la pastiglia del freno e la catena."],
    ["Worn brake pads squeal.", "Le pastiglie dei freni consumate stridono."],
    ["Check the chain.", "Controllare la catena."],
    ["The chain squeals.", "La catena stride."],
    ["Fold the double kickstand up.", "Ripiegare il cavalletto doppio."],
    ["The double kickstand carries the load.", "Il cavalletto doppio regge il carico."],
    ["Press the brake lever.", "Tirare la leva del freno."],
    ["The load shifts.", "Il carico si sposta."]
  ]

  define_method(:found) do |*terms, from: pairs, languages: %w[en it]|
    described_class.new(from, languages).find(terms)
  end

  it "finds words and groups that come with the term and hardly without it, whatever their forms" do
    expect(found("brake pad", "chain", "double kickstand", "load").transform_values(&:first)).to eq(
      "brake pad" => "pastiglie dei freni", "chain" => "catena", "double kickstand" => "cavalletto doppio",
      "load" => "carico"
    )
  end

  it "is surer of what always comes with it, and says nothing of what it never met" do
    sure = found("chain", "brake pad", "saddle")
    expect(sure["chain"].last).to eq(1.0)
    expect(sure).not_to have_key("saddle")
    expect(found("chain", from: [["Check the chain.", ""]])).to eq({})
  end

  # The other way round, and into a language that joins its words.
  it "works in other languages" do
    dutch = [["Controleer de remblokken.", "Check the brake pads."],
             ["Versleten remblokken piepen.", "Worn brake pads squeal."],
             ["Controleer de ketting.", "Check the chain."]]
    expect(found("remblok", from: dutch, languages: %w[nl en])["remblok"].first).to eq("brake pads")
  end
end
