# Segmentation: default rules on real sentences, SRX as a standard, and splitting without loss.
RSpec.describe Glossema::Segmentation do
  cases = {
    "en" => [
      ["Dr. Smith went home.", "He slept."],
      ["It weighs 3.5 kg.", "Lift it!"],
      ["See fig. 3 and no. 12 for details.", "Then go on."],
      ["“Stop!” he said.", "She did not."],
      ["Did it work?\u00A0", "Yes."],
      ["Use a strap (e.g. the red one).", "Pull."],
      ["Wait ... then push.", "Done."],
      ["1. Remove the cap.", "Keep it."],
      ["Visit www.tarnholt.example today.", "Thanks."],
      ["J. Calloway wrote it.", "We agree."],
      ["It costs 5 p.m. rates.", "Really?", "No."]
    ],
    "it" => [
      ["Il Sig. Rossi è qui.", "Bene."],
      ["Vedi pag. 3 e fig. 2.", "Poi prosegui."],
      ["Pesa ca. 12 kg.", "Sollevare in due!"],
      ["L’art. 5 è chiaro.", "Ecco perché."],
      %w[Davvero? Sì.]
    ],
    "nl" => [
      ["Zie afb. 3 a.u.b. goed.", "Klaar."],
      ["Dhr. Vos komt o.a. morgen.", "Mooi."],
      ["Dat is bijv. 3,5 kg.", "Til het op!"]
    ],
    "ja" => [%w[これは本です。 あれは何ですか？ そうです。]],
    "hi" => [["यह किताब है।", "वह कलम है।"]]
  }
  cases.each do |language, lists|
    lists.each do |sentences|
      it "#{language}: #{sentences.join(" | ")}" do
        text = sentences.join(%w[ja].include?(language) ? "" : " ").sub("\u00A0 ", "\u00A0")
        expect(described_class::Segmenter.new(language).segments(text)).to eq(
          sentences.map { |sentence| sentence.gsub(/[[:space:]]+\z/, "") }
        )
      end
    end
  end

  it "ends a segment at every line end, and only there by paragraph" do
    text = "One. Two.\r\nThree\n\nFour. Five."
    expect(described_class::Segmenter.new("en").segments(text)).to eq(%w[One. Two. Three Four. Five.])
    expect(described_class::Segmenter.new("en", by: "paragraph").segments(text)).to eq(
      ["One. Two.", "Three", "Four. Five."]
    )
  end

  describe "rules of her own" do
    def srx(rules, cascade: "no")
      Glossema::Segmentation::Srx.new(
        <<~XML
          <srx xmlns="http://www.lisa.org/srx20" version="2.0"><header cascade="#{cascade}"/><body><languagerules>
          <languagerule languagerulename="A">#{rules}</languagerule>
          <languagerule languagerulename="B">
            <rule break="yes"><beforebreak>;</beforebreak><afterbreak>\\s</afterbreak></rule>
          </languagerule></languagerules>
          <maprules><languagemap languagepattern="en.*" languagerulename="A"/>
          <languagemap languagepattern=".*" languagerulename="B"/></maprules></body></srx>
        XML
      )
    end

    it "tries them in order: the first that holds decides" do
      rules =
        srx(
          '<rule break="no"><beforebreak>\bMr\.</beforebreak><afterbreak>\s</afterbreak></rule><rule ' \
            'break="yes"><beforebreak>\.</beforebreak><afterbreak>\s</afterbreak></rule>'
        )
      expect(described_class::Segmenter.new("en-GB", rules: rules).segments("Mr. A. Then b; c")).to eq(
        ["Mr. A.", "Then b; c"]
      )
    end

    it "adds the rules of every pattern that fits when cascading" do
      rules = srx('<rule><beforebreak>\.</beforebreak><afterbreak>\s</afterbreak></rule>', cascade: "yes")
      expect(described_class::Segmenter.new("en", rules: rules).segments("A. B; C")).to eq(%w[A. B; C])
      expect(described_class::Segmenter.new("fr", rules: rules).segments("A. B; C")).to eq(["A. B;", "C"])
    end

    it "reads ICU syntax" do
      rules =
        srx(
          '<rule><beforebreak>[\p{L}&amp;&amp;[^\x{61}]]\Q+\E</beforebreak><afterbreak>\h*\d</afterbreak></' \
            "rule>"
        )
      expect(described_class::Segmenter.new("en", rules: rules).segments("a+1 b+\u00A02")).to eq(
        ["a+1 b+", "2"]
      )
    end

    it "refuses what is not SRX or not a regular expression" do
      expect { srx("<rule><beforebreak>(</beforebreak></rule>") }.to raise_error(
        Glossema::Refused,
        /not a valid regular expression/
      )
      expect { Glossema::Segmentation::Srx.new("<srx") }.to raise_error(Glossema::Refused, /well-formed/)
      expect { Glossema::Segmentation::Srx.new("<html/>") }.to raise_error(Glossema::Refused, /not an SRX/)
    end
  end

  describe Glossema::Segmentation::Splitter do
    # Every pair is a container of its own, so that losing one shows.
    def content(written)
      Glossema::Content.new(
        Glossema::Content
          .from_written(written)
          .items
          .map { |item| item.is_a?(String) ? item : item.with(wrap: item.id) }
      )
    end

    def split(written, breaks)
      described_class
        .split(content(written), breaks)
        .map { |piece| [piece.segment? ? :segment : :skeleton, piece.content.written] }
    end

    it "puts white space and codes outside the words into the skeleton" do
      expect(split("{1}One.{/1} Two{2/} ", [4])).to eq(
        [
          [:skeleton, "{1}"],
          [:segment, "One."],
          [:skeleton, "{/1}"],
          [:skeleton, " "],
          [:segment, "Two"],
          [:skeleton, "{2/} "]
        ]
      )
    end

    it "closes a pair that runs over a break and opens it again" do
      pieces = described_class.split(content("a {1}b. C{/1} d"), [4])
      expect(pieces.select(&:segment?).map { |piece| piece.content.written }).to eq(
        ["a {1}b.{/1}", "{1}C{/1} d"]
      )
      expect(described_class.join(pieces, []).written).to eq("a {1}b. C{/1} d")
    end

    it "loses nothing, wherever it cuts" do
      random = Random.new(7)
      200.times do
        items =
          Array
            .new(random.rand(1..9)) do
              ["word", ". ", " ", "{1}", "{/1}", "{2}", "{/2}", "{3/}", "x"].sample(random: random)
            end
            .join
        whole = content(items).well_formed
        breaks = (1...[whole.text.length, 1].max).to_a.sample(random.rand(0..3), random: random).sort
        pieces = described_class.split(whole, breaks)
        expect(described_class.join(pieces, []).flat).to eq(whole.flat), "#{items} at #{breaks}"
        pieces.select(&:segment?).each { |piece| expect(piece.content.written).to match(/\A\S(.*\S)?\z/m) }
      end
    end
  end

  it "gives up a rule that would take for ever, in a sentence" do
    stub_const("Glossema::Segmentation::Segmenter::SECONDS", 0.2)
    endless = [{ "break" => true, "before" => "(x+x+)+y", "after" => "\\s" }]
    rules = Glossema::Segmentation::Srx.from_h([{ "name" => "x", "pattern" => ".*", "rules" => endless }])
    segmenter = Glossema::Segmentation::Segmenter.new("en", rules: rules)
    expect { segmenter.segments("#{"x" * 40}! y And this.") }
      .to raise_error(Glossema::Refused) { |error| expect(error.code).to eq("rule-slow") }
    expect(segmenter.segments("xxxy And this.")).to eq(["xxxy", "And this."])
  end
end
