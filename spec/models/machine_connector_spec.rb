# The connector against the stand-in, told to be well, slow, failing, refusing and garbling.
RSpec.describe Machine::Connector, :stand_in do
  def connector(key: WithStandIn::KEY, **more)
    service = Machine.lists(stand_in("translate"), key)
    more.each { |name, value| service[name] = value }
    described_class.new(service, source_lang: "en-GB", target_lang: "it-IT")
  end

  def answers(*written, **more)
    connector(**more).answers(written.map { |one| Glossema::Content.from_written(one) })
      .map { |one| [one.content.written, one.lost] }
  end

  def refusal(**more)
    answers("Check it.", **more) && nil
  rescue Glossema::Refused => e
    [e.key, e.message]
  end

  it "translates in batches, codes in their places" do
    texts = ["Check the {1}brake pads{/1} at 25 km/h.", "Three steps and you are on the road.", "A & B{1/}"]
    found = answers(*texts, batch: 2)
    expect(found.map(&:last)).to eq([[], [], []])
    expect(found[0].first).to include("{1}pastiglia del freno{/1}", "25 km/h")
    expect(found[1].first).to eq("Tre passi e siete in strada.")
    expect(found[2].first).to include("& B{1/}")
    plain = answers("Check the {1}brake pads{/1} now.", markup: false)
    expect(plain[0].last).to eq(%w[{1} {/1}])
    expect(plain[0].first.scan(%r{\{/?1\}})).to eq(%w[{1} {/1}])
  end

  it "leaves out codes that were invented" do
    behave(garble: "codes")
    expect(answers("Stop {1}now{/1}.").first.first.scan(/\{.*?\}/)).to eq(%w[{1} {/1}])
  end

  it "says in a sentence what a service did, and is not fooled by half an answer" do
    { { refuse: "key" } => "machine-refused", { refuse: "quota" } => "machine-refused",
      { garble: "html" } => "machine-failed", { garble: "half" } => "machine-failed",
      { garble: "nothing" } => "machine-failed", { garble: "count" } => "machine-answer",
      { fail: 400 } => "machine-failed" }.each do |how, key|
      behave(how)
      HttpClient.broken.clear
      expect(refusal.first).to start_with(key), how.to_s
    end
    behave({})
    sentence = "127.0.0.1 does not accept the access key. Check the key in your account."
    expect(refusal(key: "other")).to eq(["machine-refused.key", sentence])
    expect(connector.answers([])).to eq([])
    expect { described_class.new(Machine.lists("::", "x"), source_lang: "en", target_lang: "it") }
      .to raise_error(Glossema::Refused) { |error| expect(error.key).to eq("machine-address") }
  end

  it "asks again where it may help, loses patience, and leaves a service alone that fails again and again" do
    behave(slow: 3)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    expect(refusal(patience: 1)).to eq(
      ["machine-failed", "127.0.0.1 returned no translation: no response within 1 s."]
    )
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < 3
    behave(fail: 503)
    before = asked
    expect(refusal.last).to include("status 503")
    expect(asked - before).to eq(1 + HttpClient::WAITS.size)
    refusal
    expect(refusal.first).to eq("machine-resting")
    behave({})
    HttpClient.broken.clear
    expect(refusal).to be_nil
  end
end
