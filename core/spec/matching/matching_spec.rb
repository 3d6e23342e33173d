# The score of a match, by hand and as properties; ranking and penalties.
RSpec.describe Glossema::Matching do
  def score(one, other)
    described_class::Score.compare(Glossema::Content.from_written(one), Glossema::Content.from_written(other))
  end

  # text, other, score by the formula worked out by hand
  [
    ["The dog sat on the mat", "The cat sat on the mat", 83],
    ["same", "same", 100],
    ["", "", 100],
    ["Same", "same", 90],
    ["one two", "", 0],
    ["Turn the screw.", "Turn the screws.", 94],
    ["a b c d", "a b c", 75],
    ["80 kg", "60 kg", 50],
    ["Stop!", "Stop.", 80],
    ["{1}bold{/1} text", "bold text", 80],
    ["{4}bold{/4} text", "{1}bold{/1} text", 100],
    ["two  spaces", "two spaces", 100],
    ["café", "cafe\u0301", 100]
  ].each do |one, other, expected|
    it("scores #{one.inspect} against #{other.inspect} at #{expected}") do
      expect(score(one, other).score).to eq(expected)
    end
  end

  it "holds to its properties on random texts" do
    random = Random.new(11)
    text = -> do
      Array
        .new(random.rand(0..8)) do
          %w[the The load loads loaded deck kg 80 60 , . {1} {/1} {2/} maximum].sample(random: random)
        end
        .join(" ")
    end
    150.times do
      one, other = text.call, text.call
      there, back = score(one, other), score(other, one)
      expect(there.score).to eq(back.score), "#{one} / #{other}"
      expect(there.score).to be_between(0, 100)
      expect(score(one, one).score).to eq(100)
      # A floor hides what is below it and changes nothing above.
      [50, 70, 90].each do |floor|
        expect(
          described_class::Score.compare(
            *[one, other].map { |written| Glossema::Content.from_written(written) },
            floor: floor
          )
        ).to eq(there.score >= floor ? there : nil)
      end
      unless described_class::Score.fold(Glossema::Content.from_written(one)) ==
          described_class::Score.fold(Glossema::Content.from_written(other))
        expect(there.score).to be < 100
      end
    end
  end

  it "gives nothing below a floor, and the same above it" do
    one, other =
      Glossema::Content.text("Pull each strap tight."),
      Glossema::Content.text("Pull both straps very tight now.")
    full = described_class::Score.compare(one, other)
    expect(described_class::Score.compare(one, other, floor: full.score)).to eq(full)
    expect(
      described_class::Score.compare(
        one,
        Glossema::Content.text("Something else altogether, far away."),
        floor: 70
      )
    ).to be_nil
  end

  it "says what differs and where" do
    differences = score("The rear deck carries up to 80 kg.", "The deck carries 60 kg.").differences
    expect(differences.map { |difference| [difference.op, difference.source, difference.memory] }).to eq(
      [["insert", "rear", nil], ["insert", "up", nil], ["insert", "to", nil], %w[replace 80 60]]
    )
    expect(differences.last.source_span).to eq([28, 30])
    expect(score("The deck.", "The old deck.").differences.first.to_h).to include(
      op: "delete",
      memory: "old",
      source_span: [3, 3]
    )
  end

  describe Glossema::Matching::Lookup do
    # A memory as plain as can be: it gives all it has.
    memory =
      Struct.new(:name, :penalty, :language_pair, :units) do
        def id = name
        def candidates(_units, **, &block) = units.map(&:dup).each(&block)
      end

    def unit(source, target, **attributes)
      Glossema::Matching::Candidate.new(
        id: source,
        source: Glossema::Content.from_written(source),
        target: Glossema::Content.from_written(target),
        attributes: { "updated_at" => "2026-01-01" }.merge(attributes.transform_keys(&:to_s))
      )
    end

    let(:query) do
      Glossema::Matching::Query.new(
        content: Glossema::Content.text("Check the brakes."),
        source_lang: "en-GB",
        target_lang: "it-IT",
        client: "Tarnholt",
        previous: "p",
        next: "n"
      )
    end

    def found(*memories)
      described_class
        .new(memories)
        .matches(query)
        .map { |match| [match.candidate.target.text, match.kind, match.score, match.penalties] }
    end

    it "ranks context, exact, then score, and prefers the same client and the newest" do
      shop =
        memory.new(
          "a",
          0,
          %w[en-GB it-IT],
          [
            unit("Check the brakes.", "Uno", previous: "p", next: "n"),
            unit("Check the brakes.", "Due", client: "Tarnholt"),
            unit("Check the brakes.", "Tre", updated_at: "2026-06-01"),
            unit("Check the brake.", "Quattro")
          ]
        )
      expect(found(shop).map { |row| row.first(2) }).to eq(
        [%w[Uno context], %w[Due exact], %w[Tre exact], %w[Quattro fuzzy]]
      )
      expect(found(shop).map { |row| row[2] }).to eq([100, 99, 99, 94])
    end

    it "tells the level that the best match reaches, whatever it did not look at" do
      random, words = Random.new(4), %w[check the brakes lever before every ride or tour]
      levels = Glossema::Counting::Bands::FLOORS.keys
      level = ->(match) { match && [match.raw == 100, levels.reverse.find { |floor| match.score >= floor }] }
      told =
        Array.new(300) do
          memories =
            Array.new(2) do |name|
              units = Array.new(4) {
                unit((words - words.sample(random.rand(5), random: random)).join(" "), "x")
              }
              memory.new(name, random.rand(0..7), %w[en-GB it-IT], units)
            end
          text = (words - words.sample(random.rand(3), random: random)).join(" ")
          asked = Glossema::Matching::Query.new(content: Glossema::Content.text(text), source_lang: "en-GB",
            target_lang: "it-IT")
          lookup = described_class.new(memories)
          level[lookup.best(asked, levels)].tap do |reached|
            expect(reached).to eq(level[lookup.matches(asked).first]), text
          end
        end
      expect(told.uniq.size).to be > 3
    end

    it "takes points off with their reasons" do
      other = memory.new("b", 5, %w[en-US it-IT], [unit("Check the brakes.", "Uno", origin: "machine")])
      expect(found(other)).to eq([["Uno", "exact", 89, [["memory", 5], ["region", 1], ["machine", 5]]]])
    end

    # [today's source, the memory's source, its target, what is offered, what was replaced there, kind]
    [
      [
        "Load at most 80 kg.",
        "Load at most 60 kg.",
        "Caricare al massimo 60 kg.",
        "Caricare al massimo 80 kg.",
        ["60"],
        "adapted"
      ],
      [
        "It costs 1,250.50 euro.",
        "It costs 980.25 euro.",
        "Costa 980,25 euro.",
        "Costa 1.250,50 euro.",
        ["980,25"],
        "adapted"
      ],
      [
        "Open 12/05/2026 at 9:30.",
        "Open 11/04/2025 at 8:15.",
        "Aperto 11.04.2025 alle 8.15.",
        "Aperto 12.05.2026 alle 9.30.",
        %w[11.04.2025 8.15],
        "adapted"
      ],
      [
        "See https://a.example/new now.",
        "See https://a.example/old now.",
        "Vedere https://a.example/old ora.",
        "Vedere https://a.example/new ora.",
        ["https://a.example/old"],
        "adapted"
      ],
      [
        "Turn 3 of 3 bolts.",
        "Turn 2 of 3 bolts.",
        "Serrare 2 di 3 bulloni.",
        "Serrare 3 di 3 bulloni.",
        ["2"],
        "adapted"
      ],
      [
        "Valid from March 5, 2026.",
        "Valid from May 12, 2025.",
        "Valido dal 12 maggio 2025.",
        "Valido dal 5 marzo 2026.",
        %w[12 maggio 2025],
        "adapted"
      ],
      [
        "Open on Monday, 3 Sep.",
        "Open on Friday, 4 Oct.",
        "Aperto il venerdì 4 ott.",
        "Aperto il lunedì 3 set.",
        %w[venerdì 4 ott],
        "adapted"
      ],
      ["You may go.", "You must go.", "Puoi andare.", "Puoi andare.", [], "fuzzy"],
      ["Use 4 straps.", "Use 2 straps.", "Usare due cinghie.", "Usare due cinghie.", [], "fuzzy"],
      ["Turn 5 of 5 bolts.", "Turn 2 of 2 bolts.", "Serrare 2 bulloni.", "Serrare 2 bulloni.", [], "fuzzy"],
      [
        "Press {1}80{/1} now.",
        "Press {1}60{/1} now.",
        "Premere {1}60{/1} ora.",
        "Premere {1}80{/1} ora.",
        ["60"],
        "adapted"
      ],
      ["Press now.", "Press {1}now{/1}.", "Premere {1}ora{/1}.", "Premere ora.", [], "adapted"]
    ].each do |today, stored, target, offered, replaced, kind|
      it "of #{stored.inspect} for #{today.inspect} makes #{offered.inspect}" do
        query.content = Glossema::Content.from_written(today)
        match =
          described_class
            .new([memory.new("a", 0, %w[en-GB it-IT], [unit(stored, target)])])
            .matches(query, threshold: 60)
            .first
        expect([match&.target&.written, match&.changes&.map(&:was), match&.kind]).to eq(
          [offered, replaced, kind]
        )
        expect(match.score).to eq(99) if kind == "adapted"
        put = match.changes.map { |change| match.target.text[change.from...change.to] }
        put.grep(/\d/).each { |text| expect(today).to include(text.tr(".", ",").split(",").first) }
      end
    end

    # [language, today's date, the memory's, in its target, as it is offered]
    [
      %w[en-US 12/25/2026 03/14/2025 14/03/2025 25/12/2026],
      %w[en-US 1/9/2026 3/14/25 14.3.2025 9.1.2026],
      %w[en-US 12/25/2026 03/03/2025 03/03/2025 25/12/2026],
      %w[en-GB 12/05/2026 03/03/2025 3/3/25 12/5/26],
      %w[en-GB 2026-12-05 2025-03-04 04/03/2025 05/12/2026]
    ].each do |lang, today, stored, target, offered|
      it "of a target with #{target} for #{stored} makes #{offered} of #{today} in #{lang}" do
        query.source_lang, query.content = lang, Glossema::Content.text("Sent on #{today}.")
        match =
          described_class
            .new([memory.new("a", 0, [lang, "it-IT"], [unit("Sent on #{stored}.", "Inviato il #{target}.")])])
            .matches(query)
            .first
        expect([match.kind, match.target.text]).to eq(["adapted", "Inviato il #{offered}."])
      end
    end

    # [today's source, the memory's, its target, what is offered]
    [
      [
        "Clean the rear brake 3 times.",
        "Clean the front brake 2 times.",
        "Pulire 2 volte il freno anteriore.",
        "Pulire 3 volte il freno posteriore."
      ],
      ["Rear brake", "Front brake", "Freno anteriore", nil],
      ["Rear brake clean", "Front brake clean", "Freno anteriore pulito", "Freno posteriore pulito"],
      ["Clean the bell.", "Clean the front brake.", "Pulire il freno anteriore.", "Pulire il campanello."],
      ["Clean the brake now.", "Clean the front brake now.", "Pulire ora i freni.", nil],
      ["Clean the rear lamp.", "Clean the front lamp.", "Pulire il faro.", nil],
      ["Clean the rear brake.", "Clean the front brake.", "Freno anteriore: pulire il freno anteriore.", nil]
    ].each do |today, stored, target, offered|
      it "puts the term that differs into #{target.inspect}: #{offered.inspect}" do
        terms =
          Class.new do
            def translations(texts) =
              {
                "front brake" => ["freno anteriore"],
                "rear brake" => ["Freno posteriore"],
                "bell" => ["campanello"],
                "brake" => ["freno"]
              }.slice(*texts.map(&:downcase))
                .transform_keys { |key| texts.find { |text| text.downcase == key } }
          end
        query.content = Glossema::Content.text(today)
        match =
          described_class
            .new([memory.new("a", 0, %w[en-GB it-IT], [unit(stored, target)])], terms: terms.new)
            .matches(query, threshold: 10)
            .first
        expect([match.kind, match.target.text]).to eq(offered ? ["adapted", offered] : ["fuzzy", target])
        expect(match.score).to be < 99
      end
    end

    it "knows a text by its key in the file, and takes nothing off an adapted match for its codes" do
      query.key = "menu.brakes"
      expect(
        found(memory.new("a", 0, %w[en-GB it-IT], [unit("Check the brakes.", "Uno", key: "menu.brakes")]))
      ).to eq([["Uno", "context", 100, []]])
      expect(
        found(memory.new("a", 0, %w[en-GB it-IT], [unit("Check {1}the brakes{/1}.", "Uno {1}due{/1}")]))
      ).to eq([["Uno due", "adapted", 99, []]])
    end
  end

  describe Glossema::Matching::Grams do
    it "cuts a text so that every match at the score shares a piece with it" do
      random = Random.new(4)
      words = ("a".."z").map { |letter| letter * 4 }
      200.times do
        text = Array.new(random.rand(4..24)) { words.sample(random: random) }
        score = [70, 75, 85].sample(random: random)
        other = text.dup
        (text.size * (100 - score) / 100).times do
          at = random.rand(other.size)
          random.rand(3).zero? ? other.delete_at(at) : (other[at] = "other")
        end
        sizes = described_class.all(text).to_h { |gram| [gram, random.rand(1..1000)] }
        first, last, pieces =
          described_class
            .classes(text.size, text.size, score)
            .find { |from, to, _| described_class.class_of(other.size).between?(from, to) }
        expect([first, last]).to all(be_an(Integer))
        expect(
          described_class.plan(text, pieces, sizes, 20_000) & described_class.all(other)
        ).not_to be_empty,
          "#{text} / #{other}"
      end
    end

    it "has inflected, accented and misspelt short words meet" do
      [
        %w[strap straps],
        %w[configure configuring],
        %w[Über uber],
        %w[file files],
        %w[data date],
        %w[enable disable],
        %w[80 60]
      ].each do |one, other|
        expect(described_class.all([one]) & described_class.all([other])).not_to be_empty, "#{one} / #{other}"
      end
      expect(described_class.tokens("チェーン is 鎖, e-mail 3.5!")).to eq([%w[チ ェ ー ン is 鎖 e-mail 3.5], %w[, !]])
    end

    # [text, another, about what score]
    [
      ["Check the brakes now.", "Check the brakes now.", 100],
      ["Check the brakes now.", "Check the brake now.", 95..96],
      ["Load 80 kg.", "Load 75 kg.", 99..100],
      ["a b a b a b", "a b", 33..34],
      ["See https://a.example/x!", "See https://a.example/y!", 99..100],
      ["one (two)", "one two", 79..81],
      ["x", "a long text of other words", 0],
      ["", "", 100]
    ].each do |one, other, about|
      it "guesses about #{about} for #{one.inspect} and #{other.inspect}" do
        own, theirs = [one, other].map { |text| described_class.signature(*described_class.tokens(text)) }
        expect(about).to be === described_class.likeness(described_class.parse(own), theirs).round(1)
      end
    end

    it "sketches texts so that few words more or less change few bits" do
      words = Array.new(12) { |index| Zlib.crc32("word#{index}").to_s(36) }
      bits = ->(one, other) do
        (
          described_class.sketch(described_class.singles(one)) ^
            described_class.sketch(described_class.singles(other))
        ).to_s(2).count("1")
      end
      expect([bits[words, words.shuffle], bits[words, words[1..]], bits[words + words, words]]).to match(
        [0, 1, be > 1]
      )
    end
  end

  it "writes numbers as each language does" do
    [
      %w[1,250.5 en it 1.250,5],
      %w[1.250,5 it en 1,250.5],
      ["1,250", "en-GB", "fr-FR", "1\u202f250"],
      %w[1,250.5 en de-CH 1’250.5],
      %w[12/05/2026 en it 12/05/2026],
      %w[3.5 en sv 3,5],
      %w[750 en it 750]
    ].each do |text, from, to, expected|
      expect(Glossema::Forms::Numbers.convert(text, from, to)).to eq(expected)
    end
  end
end
