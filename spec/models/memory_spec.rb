# What a memory learns from a project, when, and what is taken back.
RSpec.describe Memory do
  let(:user) { make_user }
  let(:client) { user.clients.create!(name: "Tarnholt Cargo Cycles", code: "TRN") }
  let(:project) { make_project(user).tap { |made| made.update!(client: client, subject: "Bicycles") } }
  let(:memory) { project.attachments.find_by(learns: "confirm").memory }
  let(:segments) { project.segments.order(:position).to_a }

  def confirm(segment, target, kind = "typed") =
    segment.reload.confirm(target, origin: { "kind" => kind }, by: user)

  def neighbours(unit) = unit.reload.slice(:previous_hash, :next_hash).values

  def hash_of(segment) = segment && TranslationUnit.hash_of_key(segment.source_key)

  it "learns a confirmed segment with client, subject, file and neighbours, and drafts never" do
    segments[0].keep_draft("Bozza", origin: { "kind" => "typed" }, by: user)
    expect(memory.units.count).to eq(0)
    confirm(segments[2], "Non lasciare mai un bambino da solo.")
    unit = memory.units.sole
    expect(unit).to have_attributes(
      client: "Tarnholt Cargo Cycles",
      subject: "Bicycles",
      project: project.reference,
      file: "manual.docx",
      origin: "typed",
      author: user.name
    )
    expect(neighbours(unit)).to eq([hash_of(segments[1]), hash_of(segments[3])])
    expect(memory.reload.used_at).to be_within(5).of(Time.current)
  end

  it "updates the unit of a segment that changes and keeps what it was" do
    confirm(segments[4], "Chiedere al rivenditore.")
    confirm(segments[4], "Rivolgersi al rivenditore.", "machine")
    unit = memory.units.sole
    expect(unit).to have_attributes(target: "Rivolgersi al rivenditore.", origin: "machine")
    expect(unit.versions.map { |version| version.before["target"] }).to eq(["Chiedere al rivenditore."])
    unit.versions.sole.operation.undo
    expect(unit.reload).to have_attributes(target: "Chiedere al rivenditore.", origin: "typed")
  end

  it "counts the same text in two places once, and keeps different ones apart by what stands around them" do
    first, second = segments.select { |segment| segment.source == "Check the straps again." }
    confirm(first, "Ricontrollare le cinghie.")
    confirm(second, "Ricontrollare le cinghie.")
    expect(memory.units.sole.used).to eq(1)
    confirm(second, "Verificare di nuovo le cinghie.")
    expect(memory.units.count).to eq(2)
    offers = Segment::Proposals.new(second.reload, floor: 70).to_a
    expect(offers.map { |offer| offer.values_at(:target, :kind, :score) }).to eq(
      [["Verificare di nuovo le cinghie.", "context", 100], ["Ricontrollare le cinghie.", "exact", 99]]
    )
    confirm(second, "Ricontrollare le cinghie.")
    expect(memory.units.pluck(:target)).to eq(["Ricontrollare le cinghie."])
  end

  it "keeps the unit of those that still read as before, until they follow, and has it again when they do " \
    "so no longer" do
    first, second = segments.select { |segment| segment.source == "Check the straps again." }
    [first, second].each { |segment| confirm(segment, "Ricontrollare le cinghie.") }
    confirm(first, "Verificare le cinghie.")
    expect(memory.units.order(:id).pluck(:target, :segment_id)).to eq(
      [["Ricontrollare le cinghie.", second.id], ["Verificare le cinghie.", first.id]]
    )
    first.reload.lead(by: user)
    expect(memory.units.pluck(:target)).to eq(["Verificare le cinghie."])
    first.reload.unlead(by: user)
    expect(memory.units.pluck(:target)).to contain_exactly(
      "Verificare le cinghie.",
      "Ricontrollare le cinghie."
    )
  end

  it "learns on delivery where it is set so, and nothing that was not confirmed" do
    late = user.memories.create!(name: "Late", source_lang: "en-GB", target_lang: "it-IT")
    project.attachments.create!(memory: late, position: 2, learns: "deliver")
    confirm(segments[4], "Rivolgersi al rivenditore.")
    segments[0].keep_draft("Bozza", origin: { "kind" => "typed" }, by: user)
    expect(late.units.count).to eq(0)
    expect(deliver(project, by: user).learned).to eq(1)
    expect(late.units.pluck(:target)).to eq(["Rivolgersi al rivenditore."])
  end

  it "has the right neighbours again when segments are split and joined" do
    confirm(segments[1], "Ricontrollare le cinghie.")
    unit = memory.units.sole
    document = project.documents.first
    document.split(segments[2], 11, by: user)
    halves = document.segments.reload.to_a
    expect(halves.map(&:source)[2..3]).to eq(["Never leave", "a child alone."])
    expect(neighbours(unit)).to eq([hash_of(halves[0]), hash_of(halves[2])])
    document.join(halves[2], by: user)
    expect(neighbours(unit)).to eq([hash_of(segments[0]), hash_of(segments[2])])
  end

  it "keeps what changed after an act when that act is taken back" do
    memory.take_in(
      [Glossema::Exchange::Tmx::Pair.new(source: "Ring the bell.", target: "Suonare.", attributes: {})]
    )
    unit = memory.units.sole
    first = unit.edit({ "target" => "Suonare il campanello." }, by: user)
    second = unit.edit({ "target" => "Far suonare il campanello." }, by: user)
    first.undo
    expect(unit.reload.target).to eq("Far suonare il campanello.")
    second.undo
    expect(unit.reload.target).to eq("Suonare il campanello.")
    expect(unit.edit({ "target" => "Suonare il campanello." }, by: user)).to be_nil
  end

  # Sources that a lookup finds.
  def found_units(text)
    query = Glossema::Matching::Query.new(content: Glossema::Content.from_written(text), source_lang: "en-GB",
      target_lang: "it-IT")
    Glossema::Matching::Lookup.new([memory.store]).matches(query, threshold: 100).map { |one|
      one.candidate.source.text
    }
  end

  it "stops an import that is cancelled, keeps what is in, and goes on when it is begun again" do
    stub_const("Glossema::Exchange::UnitReader::SLICE", 10)
    tmx = +""
    pairs =
      Array.new(100) do |index|
        Glossema::Exchange::Tmx::Pair.new(
          source: "Sentence #{index}.",
          target: "Frase #{index}.",
          attributes: {}
        )
      end
    Glossema::Exchange::Tmx.write(tmx, pairs, source_lang: "en-GB", target_lang: "it-IT")
    import = Operations::UnitImport.create!(subject: memory, input: { "file" => "m.tmx" })
    allow(import).to receive(:checkpoint).and_wrap_original do |checkpoint|
      import.cancel if memory.units.count == 50
      import.instance_variable_set(:@checked_at, nil)
      checkpoint.call
    end
    import.run_with(StringIO.new(tmx))
    expect(import.reload).to have_attributes(state: "cancelled", active: false)
    expect(memory.units.count).to eq(50)
    expect(found_units("Sentence 7.")).to eq(["Sentence 7."])
    import = Operation.find(import.id)
    import.update!(state: "queued")
    import.run_with(StringIO.new(tmx))
    expect(import.reload).to have_attributes(state: "done", result: include("added" => 100))
    expect(memory.units.distinct.count(:source)).to eq(100)
    import.undo
    expect(memory.units.count).to eq(0)
    expect(Memory::Index.new(memory.id).find(%w[sentence 7], 2, 70, 100, 50) & TranslationUnit.ids).to eq([])
  end

  describe "import by a process of its own" do
    let(:pairs) do
      Array.new(300) do |index|
        Glossema::Exchange::Tmx::Pair.new(
          source: "Sentence {1}#{index}{/1}.",
          target: "Frase {1}#{index}{/1}.",
          attributes: {
            "client" => "Tarnholt",
            "created_at" => "2026-01-02T03:04:05Z"
          }
        )
      end
    end
    let(:tmx) do
      (+"")
        .tap { |out| Glossema::Exchange::Tmx.write(out, pairs, source_lang: "en-GB", target_lang: "it-IT") }
        .sub("Sentence 7", "Sentence &nope; 7")
    end

    def import(memory, bytes, name = "m.tmx")
      Tempfile.create("units") do |file|
        file.write(bytes)
        file.flush
        return import_now(memory, File.open(file.path, "rb"), name).result
      end
    end

    before { stub_const("Memory::Import::OWN_PROCESS_FROM", -1) }

    it "takes in the same as one without, faults too" do
      other = user.memories.create!(name: "Other", source_lang: "en-GB", target_lang: "it-IT")
      apart = import(memory, tmx)
      stub_const("Memory::Import::OWN_PROCESS_FROM", 1 << 30)
      together = import(other, tmx)
      facts = %w[read added same skipped faults]
      expect(apart.slice(*facts)).to eq(together.slice(*facts))
      kept = ->(one) do
        one
          .units
          .order(:source)
          .map { |unit| unit.attributes.except("id", "memory_id", "import_id", "updated_at") }
      end
      expect(kept[memory]).to eq(kept[other])
      expect(memory.units.count).to eq(300)
    end

    it "says what was refused, and that the process ended when it did" do
      expect { import(memory, "<html></html>") }.to raise_error(
        Glossema::Refused,
        /not a TMX file: its root element is <html>/
      )
      stub_const("Memory::Import::READER", "/nowhere")
      expect { import(memory, tmx) }.to raise_error(Glossema::Refused, /was not completed/) do |refused|
        expect(refused.code).to eq("reading-ended")
      end
      expect([memory.units.count, memory.operations.pluck(:state)]).to eq([0, %w[failed failed]])
    end
  end

  it "goes for good a while after it was deleted, with its units and its past" do
    confirm(segments[4], "Rivolgersi al rivenditore.")
    confirm(segments[4], "Chiedere al rivenditore.")
    memory.update!(deleted_at: 29.days.ago)
    described_class.purge_old
    expect(memory.units.count).to eq(1)
    memory.update!(deleted_at: 31.days.ago)
    described_class.purge_old
    expect(
      [
        described_class.exists?(memory.id),
        TranslationUnit.exists?(memory_id: memory.id),
        project.attachments.reload.pluck(:memory_id)
      ]
    ).to eq([false, false, []])
  end

  it "made before anybody signed up belongs to whoever does so first" do
    User.destroy_all
    early = described_class.create!(name: "Early", source_lang: "en", target_lang: "it")
    expect(make_user.memories).to eq([early])
    expect(make_user("Anneke Vos").memories).to eq([])
  end
end
