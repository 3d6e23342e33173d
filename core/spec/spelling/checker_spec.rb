# Spelling: what is no word is found with its place, and what is no word of the language is left alone.
RSpec.describe Glossema::Spelling::Checker do
  {
    "en-GB" => ["The colour of the tyre isn’t right.", "Teh colour is rigth.", %w[Teh rigth]],
    "en-US" => ["The color of the tire.", "The colour of the tire.", %w[colour]],
    "it-IT" => ["L’olio dell'anteriore è già qui, perché sì.", "Perchè é montatta?", %w[Perchè é montatta]],
    "nl-NL" => ["De remblokken zijn versleten.", "De remblokken zijn versleeten.", %w[versleeten]],
    "de-DE" => ["Die Bremsbeläge müssen ersetzt werden; heißen.", "Die Bremsbeläge müsen.", %w[müsen]],
    "de-CH" => ["Die Strasse ist gross.", "Die Strasse ist groos.", %w[groos]],
    "de-AT" => ["Der Jänner ist kalt.", "Der Jäner.", %w[Jäner]],
    "fr-FR" => ["L’huile n’est pas là aujourd’hui.", "L’huille est la.", %w[huille]],
    "es-ES" => ["Los camiones están aquí.", "Los camionnes.", %w[camionnes]],
    "pt-PT" => ["Os travões estão aqui.", "Os travvões.", %w[travvões]],
    "pt-BR" => ["Os freios estão aqui.", "Os freyos.", %w[freyos]],
    "sv-SE" => ["Bromsarna är bra.", "Bromsarrna är bra.", %w[Bromsarrna]],
    "pl-PL" => ["Hamulce są dobre.", "Hamullce są dobre.", %w[Hamullce]]
  }.each do |tag, (right, wrong, words)|
    it "knows #{tag}" do
      checker = described_class.new(tag)
      expect(checker.faults(right)).to eq([])
      faults = checker.faults(wrong)
      expect(faults.map(&:word)).to eq(words)
      expect(faults.map { |fault| wrong[fault.from...fault.to] }).to eq(words)
    end
  end

  it "leaves codes, links, addresses, numbers, abbreviations and names in capitals alone" do
    text = "See www.tarnholt.example, a@b.example, A2, TRN-2614, ISO, USB, eBike, 25 km/h and 5kg."
    expect(described_class.new("en-GB").faults(text)).to eq([])
  end

  it "leaves her words and names alone, in any case and with an ending" do
    checker = described_class.new("en-GB", words: ["tarnholt"], names: ["Wren 24 Qx"])
    expect(checker.faults("Tarnholt, Tarnholt’s Wren 24 Qx, Qx").map(&:word)).to eq(["Qx"])
  end

  it "looks at the parts of what hyphens and apostrophes join" do
    expect(described_class.new("en-GB").faults("a well-knwon rim").map(&:word)).to eq(["knwon"])
    expect(described_class.new("it-IT").faults("dell’aneriore").map(&:word)).to eq(["aneriore"])
  end

  it "suggests what may have been meant, best first" do
    expect(described_class.new("en-GB").suggestions("brakking").first).to eq("braking")
    expect(described_class.new("it-IT").suggestions("perchè").first).to eq("perché")
  end

  it "has nothing to say of a language without a dictionary" do
    checker = described_class.new("xx")
    expect([checker.there?, checker.faults("qwrt"), checker.suggestions("qwrt")]).to eq([false, [], []])
  end
end
