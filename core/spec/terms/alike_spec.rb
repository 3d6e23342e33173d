# Forms of one word, and what only looks like them, in the languages whose inflection must not fool us.
RSpec.describe Glossema::Terms::Alike do
  same = {
    "en" => %w[brake/brakes brake/braking brake/braked universe/universes organ/organs battery/batteries
               load/loading wheel/wheels plan/planned bicycle/bicycle's brake/BRAKES],
    "it" => %w[freno/freni frenata/frenate carico/carichi caricare/caricato cerchio/cerchi ruota/ruote
               batteria/batterie leva/leve pastiglia/pastiglie città/citta],
    "nl" => %w[rem/remmen remblok/remblokken fiets/fietsen wiel/wielen band/banden lading/ladingen haak/haken
               groot/grote muur/muren brief/brieven],
    "de" => %w[Bremse/Bremsen Rad/Räder Rahmen/Rahmens Ladung/Ladungen Kette/Ketten Fuß/Füße],
    "fr" => %w[frein/freins cheval/chevaux roue/roues pneu/pneus],
    "es" => %w[freno/frenos rueda/ruedas camión/camiones luz/luces],
    "pt" => %w[travão/travões roda/rodas pneu/pneus pedal/pedais]
  }
  other = {
    "en" => %w[universe/university universe/universal organ/organization police/policy load/loader
               general/generally loads/roads A200/A201],
    "it" => %w[freno/frenata cerchio/cerchione],
    "nl" => %w[fiets/fietser lading/laden universum/universiteit],
    "de" => %w[Bremse/Bremsung Ladung/laden Universum/Universität],
    "fr" => %w[frein/freinage charge/chargement univers/université],
    "es" => %w[universo/universidad],
    "pt" => %w[travão/travagem universo/universidade]
  }

  { true => same, false => other }.each do |expected, tables|
    tables.each do |lang, pairs|
      it "#{expected ? "takes for one" : "tells apart"} in #{lang}: #{pairs.join(", ")}" do
        alike = described_class.for(lang)
        wrong = pairs.reject { |pair| pair.split("/").then { |one, two| alike.same?(two, one) == expected } }
        expect(wrong).to eq([])
      end
    end
  end

  it "forgives one slip in words of five letters, which a word that is right is not" do
    alike = described_class.for("en")
    expect(%w[brakking handelbar hndlebar].map { |word| alike.same?(word, "handlebar") || word }).to eq(
      ["brakking", true, true]
    )
    expect(alike.same?("brakking", "braking")).to be(true)
    expect(alike.same?("rode", "road")).to be(false)
    expect(alike.same?("wheal",
      "wheel")).to be(Glossema::Spelling::Dictionary.for("en").known?("wheal") == false)
  end
end
