# What became of segments: the same, changed, new, gone.
RSpec.describe Glossema::Revision do
  place = Struct.new(:unit_id, :keyed, :content)

  def self.like(what, old, new, expected, gone = [], keyed: false)
    it what do
      made =
        [old, new].map { |texts| texts.map { |one| one.is_a?(Array) ? one : ["u#{texts.index(one)}", one] } }
      revision = compare(*made, keyed)
      expect(revision.links.map { |link| [link.kind, link.old].compact }).to eq(expected)
      expect(revision.gone).to eq(gone)
      expect(revision.counts.values_at("same", "changed", "new").sum).to eq(new.size)
      expect(revision.counts.values_at("same", "changed", "gone").sum).to eq(old.size)
    end
  end

  define_method(:compare) do |old, new, keyed = false|
    described_class.new(
      *[old, new].map do |list|
        list.map { |unit, text| place.new(unit, keyed, Glossema::Content.text(text)) }
      end
    )
  end

  like "keeps what is the same", %w[One. Two.], %w[One. Two.], [[:same, 0], [:same, 1]]
  like "finds what moved", %w[One. Two. Three.], %w[Three. One. Two.], [[:same, 2], [:same, 0], [:same, 1]]
  like "finds what changed between what stayed",
    ["One.", "Check the red brake.", "Two."],
    ["One.", "Check the blue brake.", "Two."],
    [[:same, 0], [:changed, 1], [:same, 2]]
  like "tells new from changed by likeness",
    ["One.", "Check the brake."],
    ["One.", "Quite another thing altogether."],
    [[:same, 0], [:new]],
    [1]
  like "gives each repeat its own",
    %w[A B A].each_with_index.map { |text, i| ["u#{i}", "#{text} text."] },
    %w[A A A].each_with_index.map { |text, i| ["u#{i}", "#{text} text."] },
    [[:same, 0], [:changed, 1], [:same, 2]]
  like "prefers the same place",
    [%w[x Same.], %w[y Same.]],
    [%w[y Same.], %w[x Same.]],
    [[:same, 1], [:same, 0]]
  like "goes by keys where there are any",
    [%w[a Save], %w[b Open]],
    [%w[b Close], %w[a Save]],
    [[:changed, 1], [:same, 0]],
    keyed: true
  like "chooses the nearest of several",
    ["Check the red brake lever.", "Check the rear brake cable."],
    ["Check the rear brake cables.", "Check the red brake levers."],
    [[:changed, 1], [:changed, 0]]
  like "begins with nothing", [], %w[One.], [[:new]]
  like "ends with nothing", %w[One.], [], [], [0]

  it "links every old segment at most once, and the more the less changed, on random texts" do
    random = Random.new(9)
    30.times do
      old =
        Array.new(25) do |i|
          ["u#{i}", Array.new(5) { %w[load check the brake box red].sample(random: random) }.join(" ")]
        end
      new =
        old
          .reject { random.rand < 0.2 }
          .map { |unit, text| random.rand < 0.2 ? [unit, "#{text} now"] : [unit, text] }
      new.insert(random.rand(new.size), ["n", "Something nobody wrote before."])
      revision = compare(old, new)
      used = revision.links.filter_map(&:old)
      expect(used.uniq).to eq(used)
      revision
        .links
        .select { |link| link.kind == :same }
        .each { |link| expect(old[link.old].last).to eq(new[link.index].last) }
      revision
        .links
        .select { |link| link.kind == :changed }
        .each { |link| expect(link.score).to be_between(described_class::LIKE, 99) }
    end
  end
end
