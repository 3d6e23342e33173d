# The text of a round as XLIFF 2.1, XLIFF 1.2 and TMX, out and back.
RSpec.describe Glossema::Review::Bilingual do
  pairs = { "7" => ["Check the {1}chain{/1} {2/}", "Controllare la {1}catena{/1} {2/}"],
            "8" => ["Stop & go", "Fermo & via"] }

  def content(written) = Glossema::Content.from_written(written)

  def written(form)
    rows = PAIRS.map do |id, (source, target)|
      Glossema::Review::Row.new(id: id, number: id.to_i, source: content(source), target: content(target),
        notes: ["a note"])
    end
    described_class.write(form, id: "a1b2", title: "Manual", languages: %w[en-GB it-IT], rows: rows)
  end

  before { stub_const("PAIRS", pairs) }

  # {id => Outcome} of what changed.
  def changes(text)
    described_class.new(text, "back").rows.filter_map { |row|
      source, before = PAIRS.fetch(row.id)
      outcome = Glossema::Review::Outcome.from_row(row, source: content(source), before: content(before))
      [row.id, outcome] if outcome.changed?
    }.to_h
  end

  described_class::FORMS.each_key do |form|
    describe form do
      let(:text) { written(form) }

      it "comes back as it went out, and is known by its id" do
        expect(changes(text)).to eq({})
        expect(described_class.new(text, "back")).to have_attributes(id: "a1b2", doubled: [])
      end

      it "brings corrections, and nothing of what another program put in between" do
        changed = text.sub("Controllare la ", "Verificare la ")
        expect(changes(changed).transform_values(&:written)).to eq(
          { "7" => "Verificare la {1}catena{/1} {2/}" }
        )
        marked = text.sub("Fermo", "<mrk id=\"m9\" type=\"term\" mtype=\"term\">Fermo</mrk>")
          .sub(/(<source|<tuv)/) { "<!-- looked at -->#{Regexp.last_match(1)}" }
        expect(changes(marked)).to eq({})
      end

      it "refuses a translation whose source was changed, and damaged codes" do
        expect(changes(text.sub("Stop ", "Halt "))["8"].refused.code).to eq("sheet-source")
        code = text[%r{<(?:ph|x)\b[^>]*>(?:[^<]*</ph>)?(?=\s*</(?:target|seg)>)}]
        damaged = text.reverse.sub(code.reverse, "").reverse
        expect(changes(damaged)["7"].refused.message).to eq("Missing codes: {2/}.")
      end

      it "is readable for our own filters" do
        name = "r.#{described_class::FORMS.fetch(form)}"
        file = Glossema::Document.new(text, name: name, language: "en-GB",
          options: { "target_language" => "it-IT" })
        expect(file.segments.map { |one| one.target.text }).to include("Fermo & via")
      end
    end
  end

  { "what is no XML" => "<xliff", "XML of another kind" => "<a/>",
    "entities" => "<!DOCTYPE x [<!ENTITY a \"b\">]><xliff/>" }.each do |what, text|
    it "refuses #{what}" do
      expect { described_class.new(text, "x.xlf") }.to raise_error(Glossema::Refused)
    end
  end
end
