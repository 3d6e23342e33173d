# How a term is written at the beginning of a sentence, and how one picked from a text goes into a termbase.
RSpec.describe Glossema::Terms::Placed do
  JSON.parse(File.read(File.expand_path("../cases/beginning.json", __dir__))).each do |one|
    it "#{one["beginning"] ? "begins" : "does not begin"} a sentence after “#{one["before"]}”" do
      expect(described_class.beginning_after?(one["before"])).to be(one["beginning"])
    end
  end

  {
    "freno" => "Freno", "e-bike" => "E-bike", "ABS" => "ABS", "élan" => "Élan", "3D-Druck" => "3D-Druck",
    "制动" => "制动"
  }.each do |text, expected|
    it("begins a sentence with #{expected}") { expect(described_class.beginning(text)).to eq(expected) }
  end

  # picked, around it, language, expected
  [
    ["Check", "Check the brakes.", "en", "check"],
    ["Brake pads", "Oil. Brake pads wear.", "en", "brake pads"],
    ["Brake pads", "The Brake pads wear.", "en", "Brake pads"],
    ["Tarnholt Cargo", "Tarnholt Cargo builds.", "en", "Tarnholt Cargo"],
    ["Wren", "Wren is light. The Wren rides.", "en", "Wren"],
    ["Bremse", "Bremse prüfen.", "de", "Bremse"],
    ["USB", "USB cable.", "en", "USB"],
    [" brake pads,", "both brake pads, worn", "en", "brake pads"],
    ["“Rear deck”", "“Rear deck” is a part.", "en", "rear deck"],
    ["Freno", "Freno anteriore", "it", "freno"]
  ].each do |text, around, lang, expected|
    it "writes #{text.strip} of “#{around}” down as #{expected}" do
      expect(described_class.picked(text, around, lang)).to eq(expected)
    end
  end
end
