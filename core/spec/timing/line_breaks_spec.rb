# Where a cue is broken into lines: tables of each language, and what always holds.
RSpec.describe Glossema::Timing::LineBreaks do
  def best(lang, text, **limits) = described_class.new(lang, limits_of(limits)).best(text).first
  def limits_of(limits) = Glossema::Timing::Limits.new(limits.transform_keys(&:to_s))

  {
    "en" => [
      "Before you load,\nput the bicycle on its stand.", "Heavy things go low\nand close to the rear wheel,",
      "Never leave the box open\nwhen you ride in the rain.",
      "The front rack carries\nno more than 20 kilograms.",
      "Tighten every strap by hand\nand check it again."
    ],
    "it" => [
      "Prima di caricare,\nmettere la bici sul cavalletto.",
      "Gli oggetti pesanti vanno in basso\ne vicini alla ruota posteriore,",
      "Stringere a mano ogni cinghia\ne controllarla di nuovo.",
      "Il portapacchi anteriore porta\nal massimo 20 chili di carico."
    ],
    "nl" => ["Zet de fiets op de standaard\nvoordat u hem gaat laden.",
             "Zware dingen horen laag\nen dicht bij het achterwiel."],
    "de" => ["Stellen Sie das Rad auf den Ständer,\nbevor Sie es beladen.",
             "Schwere Dinge gehören nach unten\nund nah ans Hinterrad."],
    "fr" => ["Avant de charger,\nmettez le vélo sur sa béquille.",
             "Les objets lourds vont en bas\net près de la roue arrière."],
    "es" => ["Antes de cargar,\nponga la bicicleta sobre el caballete.",
             "Lo pesado va abajo\ny cerca de la rueda trasera."]
  }.each do |lang, cases|
    cases.each do |expected|
      it "breaks #{expected.inspect} in #{lang}" do
        expect(best(lang, expected.tr("\n", " "))).to eq(expected)
        expect(best(lang, expected)).to eq(expected)
      end
    end
  end

  # before | after: never at the end of a line
  {
    "en" => ["the | box", "of | steel", "and | then", "20 | kg", "Mill | Lane"],
    "it" => ["la | bici", "di | acciaio", "che | porta", "20 | kg", "della | ruota"],
    "nl" => ["het | wiel", "van | staal", "en | dan"], "de" => ["das | Rad", "aus | Stahl", "und | dann"],
    "fr" => ["le | vélo", "de | fer", "et | puis"], "es" => ["la | rueda", "de | acero", "y | luego"]
  }.each do |lang, cases|
    it "never breaks after #{cases.join(", ")} in #{lang}" do
      cases.each { |words| expect(described_class.new(lang).bad?(*words.split(" | "))).to be(true), words }
    end
  end

  it "leaves a text on one line that fits, and gives each speaker a line" do
    expect(best("en", "Now fasten the belt.")).to eq("Now fasten the belt.")
    expect(best("en", "- Is it locked? - Yes, both sides.")).to eq("- Is it locked?\n- Yes, both sides.")
    expect(best("en", "")).to eq("")
    expect(best("en", "Load")).to eq("Load")
  end

  it "keeps the limits where they can be kept, and takes another line where more are allowed" do
    text = "Pull the strap until it is tight and lock it with the small lever at the left side of the box."
    three = described_class.new("en", limits_of(characters: 36, lines: 3)).best(text).first.lines(chomp: true)
    expect(three.size).to eq(3)
    expect(three.map(&:length).max).to be <= 36
    two = described_class.new("en", limits_of(characters: 50)).best(text).first.lines(chomp: true)
    expect(two.map(&:length).max).to be <= 50
  end

  it "walks alternatives that are the same words, each once, none broken badly where others are there" do
    random = Random.new(4)
    words = "the box of steel and a strap, which holds. Load it 20 kg".split
    50.times do
      text = Array.new(random.rand(2..14)) { words.sample(random: random) }.join(" ")
      ways = described_class.new("en")
      found = ways.best(text)
      expect(found.map { |one| one.tr("\n", " ") }.uniq).to eq([text])
      expect(found.uniq).to eq(found)
      bad = found.select { |one|
        one.lines(chomp: true).each_cons(2).any? { |a, b|
          ways.bad?(a.split.last, b.split.first)
        }
      }
      expect(bad).to be_empty.or eq(found)
    end
  end

  it "knows no words of other languages and still balances" do
    expect(best("fi", "Kuormaa painavat tavarat alas lähelle takapyörää aina ensin.").lines.map(&:size).max)
      .to be < 42
  end
end
