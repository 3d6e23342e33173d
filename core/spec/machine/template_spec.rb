# What is asked of a service and read from its answer, by templates.
RSpec.describe Glossema::Machine::Template do
  lists = { request: '{"from": "{source_lang}", "to": "{target_lang}", "texts": "{texts}"}',
            answer: "translations[*].text" }
  chat = { request: '{"messages": [{"role": "system", "content": "{instructions} Terms: {terms}"}, ' \
             '{"role": "user", "content": "{before} [{text}] {after}"}], "n": 1}',
           answer: "choices[0].message.content" }

  def refusal
    yield
    nil
  rescue Glossema::Refused => e
    e.key
  end

  it "fills a list of texts in, and reads as many out" do
    template = described_class.new(**lists)
    expect(template).not_to be_single
    expect(template.body(["a", 'b "c"'], "source_lang" => "en", "target_lang" => "it")).to eq(
      "from" => "en", "to" => "it", "texts" => ["a", 'b "c"']
    )
    expect(template.texts({ "translations" => [{ "text" => "x" }, { "text" => "y" }] }, 2)).to eq(%w[x y])
    expect(described_class.new(request: '["{texts}"]', answer: "[*]").texts(%w[x y], 2)).to eq(%w[x y])
  end

  it "asks for one text at a time with all that is known around it" do
    template = described_class.new(**chat)
    expect(template).to be_single
    known = { "instructions" => "Translate.", "terms" => "brake = freno", "before" => "A." }
    body = template.body(["Stop."], known)
    told = body["messages"].map { |one| one["content"] }
    expect(told).to eq(["Translate. Terms: brake = freno", "A. [Stop.] "])
    expect(body["n"]).to eq(1)
    expect(template.texts({ "choices" => [{ "message" => { "content" => "Fermo." } }] }, 1)).to eq(["Fermo."])
  end

  it "refuses what cannot be a template" do
    { { request: "{", answer: "a" } => "machine-template.broken",
      { request: '{"t": "{texts}"}', answer: "a[b]" } => "machine-template.path",
      { request: '{"t": "{texts}"}', answer: " " } => "machine-template.path",
      { request: '{"t": "{texts} {mood}"}', answer: "a" } => "machine-template.place",
      { request: '{"t": "hello"}', answer: "a" } => "machine-template.texts" }
      .each { |given, key| expect(refusal { described_class.new(**given) }).to eq(key) }
  end

  it "refuses answers that are none, hold something else, or another number" do
    template = described_class.new(**lists)
    { {} => "machine-answer.nothing", [] => "machine-answer.nothing", nil => "machine-answer.nothing",
      { "translations" => "x" } => "machine-answer.nothing",
      { "translations" => [{ "text" => 5 }] } => "machine-answer.no-text",
      { "translations" => [{ "text" => "x" }] } => "machine-answer.count" }
      .each { |given, key| expect(refusal { template.texts(given, 2) }).to eq(key) }
  end
end
