# Beads edited by hand: what each act makes, what it refuses, that texts and their order stay; and that what
# lies between fixed beads is found anew.
RSpec.describe Glossema::Alignment::Editing do
  def item(text) = { "text" => text, "block" => "paragraph", "unit" => nil, "codes" => 0 }

  def bead(source, target, **more)
    { "source" => source.map { |text| item(text) }, "target" => target.map { |text| item(text) },
      "probability" => 0.5, "state" => nil, "set" => false, "note" => "" }.merge(more.transform_keys(&:to_s))
  end

  def told(beads) = beads.map { |one| %w[source target].map { |side| one[side].map { |item| item["text"] } } }

  def done(act, at, **given)
    replaced = described_class.new(beads).act(act.to_s, at, given.transform_keys(&:to_s))
    list = beads.dup
    list[replaced.at, replaced.count] = replaced.beads
    told(list)
  end

  let(:beads) { [bead(%w[A B], %w[1 2]), bead(%w[C], []), bead(%w[D], ["3 and 4"])] }

  {
    [:join, 0, {}] => [[%w[A B C], %w[1 2]], [%w[D], ["3 and 4"]]],
    [:split, 0, {}] => [[%w[A], %w[1]], [%w[B], %w[2]], [%w[C], []], [%w[D], ["3 and 4"]]],
    [:take_out, 0, {}] => [[%w[A B], []], [[], %w[1 2]], [%w[C], []], [%w[D], ["3 and 4"]]],
    [:take_out, 0, { side: "source", index: 1 }] =>
      [[%w[A], %w[1 2]], [%w[B], []], [%w[C], []], [%w[D], ["3 and 4"]]],
    [:down, 0, { side: "target" }] => [[%w[A B], %w[1]], [%w[C], %w[2]], [%w[D], ["3 and 4"]]],
    [:up, 2, { side: "target" }] => [[%w[A B], %w[1 2]], [%w[C], ["3 and 4"]], [%w[D], []]],
    [:up, 1, { side: "source" }] => [[%w[A B C], %w[1 2]], [%w[D], ["3 and 4"]]],
    [:down, 2, { side: "target" }] => [[%w[A B], %w[1 2]], [%w[C], []], [%w[D], []], [[], ["3 and 4"]]],
    [:cut, 2, { side: "target", index: 0, offset: 2 }] =>
      [[%w[A B], %w[1 2]], [%w[C], []], [%w[D], ["3", "and 4"]]],
    [:write, 1,
     { side: "source", index: 0, text: " c " }] => [[%w[A B], %w[1 2]], [%w[c], []], [%w[D], ["3 and 4"]]]
  }.each do |(act, at, given), expected|
    it("does #{act} at #{at} #{given}") { expect(done(act, at, **given)).to eq(expected) }
  end

  {
    [:join, 2, {}] => "bead-last", [:split, 1, {}] => "bead-single", [:take_out, 1, {}] => "bead-single",
    [:up, 1, { side: "target" }] => "bead-none",
    [:cut, 2, { side: "target", index: 0, offset: 0 }] => "bead-cut",
    [:write, 0, { side: "source", index: 0, text: " " }] => "bead-empty", [:join, 9, {}] => "bead-none",
    [:burn, 0, {}] => "bead-act", [:write, 0, { side: "source", index: 7, text: "x" }] => "bead-none"
  }.each do |(act, at, given), code|
    it "refuses #{act} at #{at} #{given}" do
      expect { done(act, at, **given) }.to raise_error(Glossema::Refused) { |error| expect(error.code).to eq(code) }
    end
  end

  it "refuses to take out of the middle (bead-middle)" do
    beads[0]["source"] << item("B2")
    expect {
      done(:take_out, 0, side: "source", index: 1)
    }.to raise_error(Glossema::Refused) { |error| expect(error.code).to eq("bead-middle") }
  end

  it "confirms, leaves out and opens again, and keeps a note" do
    edit = described_class.new(beads)
    expect(edit.act("confirm", 1).beads.first).to include("state" => "confirmed")
    expect(edit.act("leave", 1).beads.first).to include("state" => "left")
    expect(edit.act("note", 1, "note" => " ask ").beads.first).to include("note" => "ask")
    beads[1]["state"] = "left"
    expect(edit.act("leave", 1).beads.first).to include("state" => nil)
  end

  it "keeps every text, in order, whatever is done" do
    random = Random.new(4)
    list = Array.new(12) { |at|
      bead(["s#{at}a", "s#{at}b"].first(random.rand(3)), ["t#{at}"].first(random.rand(2)))
    }
    list.reject! { |one| told([one]).flatten.empty? }
    order = %w[source target].to_h { |side|
      [side, list.flat_map { |one|
        one[side].map { |item|
          item["text"]
        }
      }]
    }
    200.times do
      act = %w[join split take_out down up confirm leave].sample(random: random)
      replaced = described_class.new(list).act(act, random.rand(list.size),
        "side" => (act.match?(/down|up/) ? %w[source target].sample(random: random) : nil))
      list[replaced.at, replaced.count] = replaced.beads
    rescue Glossema::Refused
      next
    ensure
      order.each { |side, all|
        expect(list.flat_map { |one|
          one[side].map { |item|
            item["text"]
          }
        }).to eq(all)
      }
    end
  end

  describe Glossema::Alignment::Anew do
    it "aligns anew what lies between fixed beads, and leaves them alone" do
      wrong = [bead(["The kiln holds 80 bowls."], ["Il forno contiene 80 ciotole."], state: "confirmed"),
               bead(["Open at 9:30 on Mondays."], []),
               bead(["The clay is from Mill Lane 12."], ["Aperto alle 9.30 di lunedì."]),
               bead([], ["L’argilla viene da Mill Lane 12."]),
               bead(["Ask Ada Rook."], ["Chiedere ad Ada Rook."], set: true)]
      replaced = described_class.new(wrong).around(0)
      expect(replaced.map { |one| [one.at, one.count] }).to eq([[1, 3]])
      expect(told(replaced.first.beads)).to eq([
        [["Open at 9:30 on Mondays."], ["Aperto alle 9.30 di lunedì."]],
        [["The clay is from Mill Lane 12."], ["L’argilla viene da Mill Lane 12."]]
      ])
      list = wrong.dup
      list[1, 3] = replaced.first.beads
      expect(described_class.new(list).around(0)).to eq([])
    end
  end
end
