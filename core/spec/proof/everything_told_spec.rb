# Whatever becomes of its segments, all that is seen in a written file is a confirmed translation, or is told.
RSpec.describe Glossema::Proof do
  states = %w[untouched draft translated reviewed final]

  # {segment id => [state, Content or nil]}, as chance has it: untouched, translated, confirmed as the source.
  def chance(document, random, states)
    document.segments.to_h do |segment|
      state = states.sample(random: random)
      target = random.rand < 0.2 ? segment.content : Glossema::Pseudo.translate(segment.content)
      [segment.id, [state, state == "untouched" ? nil : target]]
    end
  end

  def letters(text) = text.unicode_normalize(:nfc).downcase.gsub(/[^\p{L}\p{N}]+/, "")

  Dir[File.expand_path("../../../demo/formats/*", __dir__)].each do |path|
    (1..3).each do |seed|
      it "tells what of #{File.basename(path)} nobody confirmed (#{seed})" do
        bytes, name = File.binread(path), File.basename(path)
        document = Glossema::Document.new(bytes, name: name, language: "en",
          options: { "target_language" => "it" })
        given = chance(document, Random.new(seed), states)
        targets = given.transform_values(&:last).compact
        named = document.bilingual? ? given.transform_values(&:first) : {}
        written = document.write(targets, target_language: "it", states: named)
        proof = described_class.new(document, written, targets, states: named)
        expect(proof.differences.map(&:message)).to eq([])
        told = proof.source_kept(given.transform_values(&:first))
        confirmed = document.segments.reject { |one| told.values.flatten.include?(one) }
        expect(confirmed.map { |one| given[one.id].first } - described_class::CONFIRMED).to eq([])
        expect(confirmed.map { |one| targets[one.id].text == one.content.text }).to all(be(false))
        next if document.bilingual?

        seen = Glossema::Proof::SourceLeft.find(written, document.segments.map { |one|
          [one.content.text, ""]
        })
        named = letters([*told.values.flatten.map { |one| one.content.text }, *proof.source_left].join("\n"))
        expect(seen.reject { |text| named.include?(letters(text)) }).to eq([])
      end
    end
  end
end
