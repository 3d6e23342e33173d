# Words looked up in memories: what counts as a hit, and where it is marked.
RSpec.describe Memory::Concordance do
  let(:user) { make_user }
  let(:memory) do
    make_memory(
      user,
      {
        "Tighten both straps before riding." => "Stringere entrambe le cinghie prima di partire.",
        "The strap is tight." => "La cinghia è tesa.",
        "Press {1}the brake{/1} lever." => "Premere {1}la leva{/1} del freno.",
        "Über 30 °C" => "Oltre 30 °C",
        "自転車のチェーンを点検する" => "Controllare la catena della bicicletta",
        "A literal \\{1} brace" => "Una graffa \\{1}"
      }
    )
  end

  def found(text, **options)
    described_class.new([memory], text: text, **options).to_h[:hits].map do |hit|
      shown = hit[hit[:side].to_sym]
      [shown, hit[:marks].map { |from, to| shown[from...to] }]
    end
  end

  # [what is looked up, side, way] → [[text, marked], …]
  {
    ["both straps", "source", "phrase"] => [["Tighten both straps before riding.", ["both straps"]]],
    ["straps both", "source", "phrase"] => [],
    ["straps both", "source", "words"] => [["Tighten both straps before riding.", %w[both straps]]],
    %w[TIGHT source phrase] => [["The strap is tight.", ["tight"]]],
    %w[tightness source alike] => [["The strap is tight.", ["tight"]]],
    %w[tightened source alike] => [["Tighten both straps before riding.", ["Tighten"]]],
    ["strapping riding", "source", "alike"] => [["Tighten both straps before riding.", %w[straps riding]]],
    %w[cinghia target phrase] => [["La cinghia è tesa.", ["cinghia"]]],
    ["e tesa", "target", "phrase"] => [["La cinghia è tesa.", ["è tesa"]]],
    ["the brake lever", "source", "phrase"] => [["Press the brake lever.", ["the brake lever"]]],
    %w[uber source phrase] => [["Über 30 °C", ["Über"]]],
    %w[チェーン source phrase] => [["自転車のチェーンを点検する", ["チェーン"]]],
    ["literal {1}", "source", "phrase"] => [["A literal {1} brace", ["literal {1"]]],
    ["\" OR * NEAR(", "source", "phrase"] => [],
    ["   ", "source", "phrase"] => []
  }.each do |(text, side, way), hits|
    it "finds #{text.inspect} in the #{side} by #{way}: #{hits.map(&:first)}" do
      expect(found(text, side: side, way: way)).to match_array(hits)
    end
  end

  it "gives the newest first, says when there are more, and looks into the memories it is given only" do
    pairs = Array.new(45) { |index| ["Bell number #{index}", "Campanello #{index}"] }
    many = make_memory(user, pairs, name: "Many")
    newest = many.units.find_by(source: "Bell number 7")
    newest.update!(updated_at: 1.day.from_now)
    answer = described_class.new([many], text: "bell number").to_h
    expect([answer[:hits].size, answer[:more]]).to eq([Memory::Concordance::LIMIT, true])
    expect(described_class.new([many], text: "number 7").to_h[:hits].first).to include(
      source: "Bell number 7",
      memory: "Many",
      client: "Tarnholt"
    )
    expect(described_class.new([memory], text: "bell number").to_h[:hits]).to eq([])
  end

  it "finds texts of the project that are not translated yet, by one character where there are no spaces" do
    project = make_project(user, "自転車を点検する。", name: "a.txt")
    hits = described_class.new([], project: project, text: "車").to_h[:hits]
    expect(hits.map { |hit| hit.values_at(:source, :target, :state, :marks) }).to eq(
      [["自転車を点検する。", "", "untouched", [[2, 3]]]]
    )
  end
end
