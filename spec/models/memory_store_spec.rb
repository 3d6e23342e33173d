# The memory on SQLite behind the core's port: nothing an exhaustive scan finds is missed, and its index stays right.
RSpec.describe MemoryStore do
  let(:random) { Random.new(3) }
  let(:words) {
    %w[strap deck load brake wheel tyre chain rider child seat battery motor lock gear pull check tighten carry never always the a
       of to and with before after]
  }
  let(:memory) { make_user.memories.create!(name: "m", source_lang: "en-GB", target_lang: "it-IT") }
  let(:sentences) {
    Array.new(240) {
      Array.new(random.rand(3..14)) {
        words.sample(random: random)
      }.join(" ").capitalize.concat(".")
    }
  }

  def lookup(text, memories)
    Glossema::Matching::Lookup.new(memories).matches(
      Glossema::Matching::Query.new(content: Glossema::Content.text(text), source_lang: "en-GB",
                                    target_lang: "it-IT"), threshold: 70, limit: 5
    )
  end

  it "finds what a scan of everything finds at 70 and above" do
    memory.take_in(sentences.uniq.map.with_index { |text, index|
      Glossema::Exchange::Tmx::Pair.new(source: text, target: "t#{index}", attributes: {})
    })
    exhaustive = described_class.new(memory)
    def exhaustive.candidates(*, **) = rows("memory_id = ?", [id]).map { |row| candidate(row) }
    queries = sentences.sample(18, random: random).map { |text| text.sub(/\w+\.\z/, "#{words.sample(random: random)}.") }
    found, all = 0, 0
    queries.each do |query|
      best = lookup(query, [exhaustive]).map(&:score).first or next
      all += 1
      found += 1 if lookup(query, [described_class.new(memory)]).map(&:score).first == best
    end
    expect(all).to be > 10
    expect(found).to be >= all * 0.95
  end

  it "follows a unit that changes and forgets one that is gone" do
    store, writer = described_class.new(memory), MemoryWriter.new(memory)
    unit = writer.add(source: "Pull the strap tight.", target: "Tirare la cinghia.")
    writer.change(unit, source: "Check the brake lever.", target: "Controllare la leva.")
    expect(lookup("Pull the strap tight.", [store])).to eq([])
    expect(lookup("Check the brake levers.", [store]).map { |match| match.candidate.target.text }).to eq(["Controllare la leva."])
    memory.purge
    expect(lookup("Check the brake levers.", [store])).to eq([])
    expect(MemoryUnit.where(memory_id: memory.id).count).to eq(0)
  end

  it "gives a reference by her own pattern, and the next free one" do
    user = make_user
    user.update!(reference_pattern: "{yyyy}/{client}/{nn}")
    client = user.clients.create!(name: "Pell & Rook Ceramics", code: "PRC")
    user.projects.create!(reference: "#{Time.current.year}/PRC/01", client: client)
    expect(user.projects.create!(client: client).next_reference).to eq("#{Time.current.year}/PRC/02")
  end
end
