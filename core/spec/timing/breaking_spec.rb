# A content with codes broken into lines: no word, no code is lost, and codes stay at their words.
RSpec.describe Glossema::Timing::Breaking do
  def content(written) = Glossema::Content.from_written(written)

  def best(written, lang = "it")
    described_class.new(Glossema::Timing::LineBreaks.new(lang)).variants(content(written)).first.written
  end

  [
    ["Prima di {1}caricare,{/1} mettere la bici sul cavalletto.",
     "Prima di {1}caricare,{/1}\nmettere la bici sul cavalletto."],
    ["{1}Prima di caricare, mettere{/1} la bici sul cavalletto.",
     "{1}Prima di caricare,\nmettere{/1} la bici sul cavalletto."],
    ["Prima di caricare,{1/} mettere la\nbici sul cavalletto.",
     "Prima di caricare,{1/}\nmettere la bici sul cavalletto."],
    ["Gli oggetti {1}pesanti{/1} vanno in basso e vicini alla \\{ruota\\},",
     "Gli oggetti {1}pesanti{/1} vanno in basso\ne vicini alla \\{ruota\\},"],
    ["Una {1}riga{/1}", "Una {1}riga{/1}"], ["", ""]
  ].each do |written, broken|
    it("breaks #{written.inspect}") { expect(best(written)).to eq(content(broken).written) }
  end

  it "keeps words and codes, whatever stands where" do
    random = Random.new(11)
    breaks = described_class.new(Glossema::Timing::LineBreaks.new("en"))
    80.times do
      parts = Array.new(random.rand(1..16)) {
        ["the", "box,", "and", "{1}low{/1}", "of", "{2/}steel", "20"].sample(random: random)
      }
      written = parts.uniq { |part|
        part.include?("{") ? part : Object.new
      }.join([" ", "\n", "  "].sample(random: random))
      breaks.variants(content(written)).each do |way|
        expect(way.written.split).to eq(written.split)
        expect(way.codes.map(&:written)).to eq(content(written).codes.map(&:written))
      end
    end
  end
end
