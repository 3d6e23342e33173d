# Every check finds what it must find and passes what it must pass: the cases stand beside its file.
RSpec.describe Glossema::Checks do
  def pair_of(given)
    given = { "languages" => given[0, 2], "source" => given[2], "target" => given[3] } if given.is_a?(Array)
    source = Glossema::Content.from_written(given["source"])
    Glossema::Checks::Pair.new(source: source, target: Glossema::Content.from_written(given["target"]),
      source_lang: given["languages"][0], target_lang: given["languages"][1], limit: given["limit"],
      state: given["state"], origin: given["origin"],
      **%w[cue next_cue].to_h { |name|
        [name.to_sym, (given[name] && Glossema::Timing::Cue.at(Glossema::Location.parse(given[name])))]
      })
  end

  def entry(given)
    sections = given.map do |lang, terms|
      made = terms.map do |term|
        Glossema::Terms::Term.new(**(term.is_a?(Hash) ? term.transform_keys(&:to_sym) : { text: term }))
      end
      Glossema::Terms::Section.new(lang: lang, terms: made)
    end
    Glossema::Terms::Entry.new(sections: sections)
  end

  def check_of(kind, pair)
    entries = kind.cases.fetch("terms", []).map { |given| entry(given) }
    terms = Glossema::Checks::Vocabulary.from_entries(entries, pair.source_lang,
      pair.target_lang) if entries.any?
    kind.new(terms: terms, lists: kind.cases.fetch("lists", {}))
  end

  described_class.all.each do |kind|
    describe kind.code do
      kind.cases.fetch("finds").each do |given|
        it "finds #{given.inspect}" do
          pair = pair_of(given)
          found = check_of(kind, pair).findings(pair)
          expect(found).not_to be_empty
          expect(found).to all(have_attributes(code: kind.code, level: kind.level, message: match(/\S/)))
          expect(found.first.fix).to eq(given["fix"]) if given.is_a?(Hash) && given["fix"]
          spans = found.flat_map { |one| one.target.map { |span| [span, pair.into] } }
          expect(spans).to all(satisfy { |(from, to), text| from.between?(0, to) && to <= text.length })
        end
      end

      kind.cases.fetch("passes").each do |given|
        it "passes #{given.inspect}" do
          pair = pair_of(given)
          expect(check_of(kind, pair).findings(pair).map(&:message)).to eq([])
        end
      end
    end
  end

  it "tells of a check that fails, with what the others find" do
    texts = ["Stop now", "Fermarsi  ora"].map { |text| Glossema::Content.text(text) }
    pair = Glossema::Checks::Pair.new(source: texts[0], target: texts[1], source_lang: "en",
      target_lang: "it", cue: "no cue", next_cue: "no cue")
    found = Glossema::Checks::Checker.new.findings(pair).group_by(&:code)
    expect(found.keys).to contain_exactly("check-failed", "space-double")
    expect(found["check-failed"].map(&:message)).to include(a_string_including("“cue-overlap”"))
  end

  {
    "profile-broken" => -> { described_class::Profile.new([]) },
    "own-broken" => -> { described_class::Own.new({ "name" => "x", "target" => "(", "message" => "y" }) }
  }.each do |code, making|
    it "refuses what is no profile or no check of hers (#{code})" do
      expect { instance_exec(&making) }.to raise_error(Glossema::Refused) { |error|
        expect(error.code).to eq(code)
      }
    end
  end

  it "mends with every fix what was found, and nothing else" do
    described_class.all.each do |kind|
      kind.cases.fetch("finds").each do |given|
        pair = pair_of(given)
        check = check_of(kind, pair)
        fixed = check.findings(pair).filter_map(&:fix).first or next
        again = Glossema::Checks::Pair.new(source: pair.source, target: Glossema::Content.from_written(fixed),
          source_lang: pair.source_lang, target_lang: pair.target_lang)
        expect(check.findings(again).size).to be < check.findings(pair).size, "#{kind.code}: #{fixed}"
      end
    end
  end
end
