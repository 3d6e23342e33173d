# The memory on SQLite behind the core's port: nothing an exhaustive scan finds is missed, and its index stays
# right.
RSpec.describe Memory::Store do
  let(:memory) { make_user.memories.create!(name: "m", source_lang: "en-GB", target_lang: "it-IT") }

  def lookup(text, memories, limit: 5)
    query =
      Glossema::Matching::Query.new(
        content: Glossema::Content.text(text),
        source_lang: "en-GB",
        target_lang: "it-IT"
      )
    Glossema::Matching::Lookup.new(memories).matches(query, threshold: 70, limit: limit)
  end

  def import(memory, pairs)
    tmx = +""
    Glossema::Exchange::Tmx.write(
      tmx,
      pairs.map do |source, target|
        Glossema::Exchange::Tmx::Pair.new(
          source: Glossema::Content.escape(source),
          target: Glossema::Content.escape(target),
          attributes: {}
        )
      end,
      source_lang: "en-GB",
      target_lang: "it-IT"
    )
    import_now(memory, StringIO.new(tmx))
  end

  # Stems, endings and numbers make sentences that are like one another, as those of a manual are; some stand
  # in markup that many have.
  def sentence(random)
    stems = %w[
      strap deck load brake wheel tyre chain rid seat batter mot lock gear pull check tight carr nev box han
      light bell cable lever pedal saddle
    ]
    text =
      Array
        .new(random.rand(1..8)) do
          if random.rand(9).zero?
            random.rand(100).to_s
          else
            stems.sample(random: random) + ["", "s", "ed", "ing", "er"].sample(random: random)
          end
        end
        .join(" ")
        .capitalize
        .concat(".")
    case random.rand(20)
    when 0
      "<link href=\"text/a#{random.rand(99)}/b#{random.rand(9999)}.htm\" " \
        "name=\"#{text.split.first}\">#{text}</link>"
    when 1
      "<img id=\"img_id3#{random.rand(999_999)}\" src=\"media/help/x#{random.rand(99)}.svg\" " \
        "width=\"1cm\"/> #{text}"
    else
      text
    end
  end

  [3, 8].each do |seed|
    it "finds of 5,000 units what a scan of everything finds at 70 and above, in order (seed #{seed})" do
      random = Random.new(seed)
      sentences = Array.new(5000) { sentence(random) }.uniq
      import(memory, sentences.map.with_index { |text, index| [text, "t#{index}"] })
      everything = described_class.new(memory)
      def everything.candidates(*, **)
        (@everything ||= sources("memory_id = ?", [id])).each do |unit, source|
          offer(unit, source, nil) { |one| yield one }
        end
      end
      wanted = found = 0
      sentences
        .sample(40, random: random)
        .each_with_index do |text, index|
          words = text.split
          words[random.rand(words.size)] = sentence(random).split.first if words.size > 1
          limit = index.even? ? 5 : 50
          best = lookup(words.join(" "), [everything], limit: limit).map(&:score)
          scores = lookup(words.join(" "), [described_class.new(memory)], limit: limit).map(&:score)
          expect(scores).to eq(scores.sort.reverse)
          wanted += best.size
          found += best.zip(scores).count { |one, other| one == other }
        end
      expect(wanted).to be > 30
      expect(found).to be >= wanted * 0.995, "#{found} of #{wanted}"
    end
  end

  it "finds the same after its index was made anew" do
    import(
      memory,
      Array.new(60) do |index|
        [
          "Tighten the #{%w[bolt nut
                            screw][index % 3]} of the #{%w[deck rail wheel][index / 3 % 3]} by hand.",
          "t#{index}"
        ]
      end
    )
    before =
      lookup("Tighten the bolts of the deck by hands.", [described_class.new(memory)]).map do |match|
        [match.score, match.candidate.id]
      end
    Memory::Index.new(memory.id).clear
    memory.units.update_all(words: "")
    expect(lookup("Tighten the bolts of the deck by hands.", [described_class.new(memory)])).to eq([])
    memory.reindex
    expect(
      lookup("Tighten the bolts of the deck by hands.", [described_class.new(memory)]).map do |match|
        [match.score, match.candidate.id]
      end
    ).to eq(before)
    expect(before.size).to eq(5)
  end

  it "passes over a unit that is deleted between being found and being read" do
    import(memory, [["Front brake lever", "Leva"], ["Front brake lever!", "Leva!"]])
    store = described_class.new(memory)
    kept = []
    store.candidates(
      Glossema::Matching::Score.units(Glossema::Content.text("Front brake lever")),
      content: Glossema::Content.text("Front brake lever"),
      floor: 50,
      limit: 5
    ) do |candidate|
      memory.units.where(source: "Front brake lever!").delete_all
      kept << candidate.target.text
    end
    expect(kept).to eq(["Leva"])
  end

  it "adapts a match in the one term that differs, as its short units translate it" do
    import(
      memory,
      [
        ["Front brake", "Freno anteriore"],
        ["rear brake", "freno posteriore"],
        ["Clean the front brake every day.", "Pulire ogni giorno il freno anteriore."],
        ["Bell", "Il {campanello}."]
      ]
    )
    adapted =
      lambda do |text|
        query =
          Glossema::Matching::Query.new(
            content: Glossema::Content.text(text),
            source_lang: "en-GB",
            target_lang: "it-IT"
          )
        Glossema::Matching::Lookup
          .new([described_class.new(memory)], terms: Memory::KnownTerms.new([memory]))
          .matches(query, threshold: 60, limit: 1)
          .map { |match| [match.kind, match.target.text, match.score] }
      end
    expect(adapted["Clean the rear brake every day."]).to eq(
      [["adapted", "Pulire ogni giorno il freno posteriore.", 84]]
    )
    expect(adapted["Clean the bell every day."].map(&:first)).to eq(["fuzzy"])
  end

  it "learns while an import runs, sees what is in already, and stays the same through compacting" do
    stub_const("Glossema::Exchange::UnitReader::SLICE", 50)
    stub_const("Memory::Index::PART", 100)
    stub_const("Memory::Index::PARTS", 3)
    texts =
      Array.new(600) do |index|
        "Sentence #{index} about the #{%w[brake wheel lamp][index % 3]} number #{index}x."
      end
    seen = nil
    import = Operations::UnitImport.create!(subject: memory, input: { "file" => "m.tmx" })
    tmx = +""
    Glossema::Exchange::Tmx.write(
      tmx,
      texts.map { |text| Glossema::Exchange::Tmx::Pair.new(source: text, target: "t", attributes: {}) },
      source_lang: "en-GB",
      target_lang: "it-IT"
    )
    allow(import).to receive(:checkpoint).and_wrap_original do |checkpoint|
      checkpoint.call
      next if seen || memory.units.count < 300

      Memory::Writer.new(memory).add(source: "Learned while it ran.", target: "Imparato.")
      seen = [
        lookup(texts[10], [described_class.new(memory)]).size,
        lookup("Learned while it runs.", [described_class.new(memory)]).size
      ]
    end
    import.run_with(StringIO.new(tmx))
    expect(seen.map(&:positive?)).to eq([true, true])
    expect(Memory::Index.select("SELECT whole FROM memory_parts WHERE memory_id = #{memory.id}")).to eq([[1]])
    expect(Memory::Index.select("SELECT COUNT(*) FROM memory_fresh WHERE memory_id = #{memory.id}")).to eq(
      [[0]]
    )
    expect(
      [texts[0], texts[333], texts[599], "Learned while it runs."].map do |text|
        lookup(text, [described_class.new(memory)]).size.positive?
      end
    ).to all(be(true))
  end

  it "follows a unit that changes and forgets one that is gone" do
    store, writer = described_class.new(memory), Memory::Writer.new(memory)
    unit = TranslationUnit.find(writer.add(source: "Pull the strap tight.", target: "Tirare la cinghia."))
    writer.change(unit, source: "Check the brake lever.", target: "Controllare la leva.")
    expect(lookup("Pull the strap tight.", [store])).to eq([])
    expect(lookup("Check the brake levers.", [store]).map { |match| match.candidate.target.text }).to eq(
      ["Controllare la leva."]
    )
    memory.purge
    expect(lookup("Check the brake levers.", [store])).to eq([])
    expect(TranslationUnit.where(memory_id: memory.id).count).to eq(0)
  end

  it "gives nothing of a memory that was deleted, and takes off for region and by her own penalty" do
    user = make_user
    british = make_memory(user, { "Check the straps." => "Controllare le cinghie." })
    american =
      make_memory(user, { "Check the straps now." => "Controllare ora le cinghie." }, name: "American")
    american.update!(source_lang: "en-US")
    project =
      make_project(
        user,
        docx(paragraph(run("Check the straps now."))),
        memories: [{ "memory_id" => british.id, "penalty" => 2 }, { "memory_id" => american.id }]
      )
    offers = -> do
      Segment::Proposals
        .new(project.reload.segments.first, floor: 50)
        .to_a
        .map { |offer| offer.values_at(:memory, :score, :penalties) }
    end
    expect(offers.call).to eq(
      [
        ["American", 99, [{ reason: "region", points: 1 }]],
        ["Tarnholt, delivered", 74, [{ reason: "memory", points: 2 }]]
      ]
    )
    american.update!(deleted_at: Time.current)
    expect(offers.call.map(&:first)).to eq(["Tarnholt, delivered"])
    expect(project.attachments.learning("never").map(&:memory)).to eq([british])
    american.update!(deleted_at: nil)
    expect(offers.call.size).to eq(2)
    expect(project.attachments.map { |row| row.memory.name }).to include("American")
  end

  it "gives a reference by her own pattern, and the next free one" do
    user = make_user
    user.update!(reference_pattern: "{yyyy}/{client}/{nn}")
    client = user.clients.create!(name: "Pell & Rook Ceramics", code: "PRC")
    user.projects.create!(reference: "#{Time.current.year}/PRC/01", client: client)
    expect(user.projects.create!(client: client).next_reference).to eq("#{Time.current.year}/PRC/02")
  end
end
