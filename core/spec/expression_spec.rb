# What a user may give as a regular expression: bounded before it is compiled, wherever it comes in.
RSpec.describe Glossema::Expression do
  hostile = {
    "400 KB of classes" => "[a-z]" * 80_000,
    "classes in classes" => "#{"[a" * 40}#{"]" * 40}",
    "groups in groups" => "#{"(" * 60}a#{")" * 60}",
    "repetitions" => "a{50000}",
    "repetitions of repetitions" => "((a{900}){900}){900}"
  }

  hostile.each do |what, source|
    it "refuses #{what} before compiling" do
      expect { described_class.compile(source, longest: described_class::LONGEST_RULE) }
        .to raise_error(RegexpError)
    end

    it "refuses #{what} in each place that takes one" do
      refusals = [
        -> { Glossema::Replacing.new(find: source, regex: true) },
        -> { Glossema::Terms::Listed.check("/#{source}/") },
        -> { Glossema::Checks::Own.new("name" => "n", "target" => source, "message" => "m") },
        -> { Glossema::Segmentation::Icu.to_ruby(source) }
      ].map do |taken|
        taken.call
        nil
      rescue Glossema::Refused => e
        [e.key, e.message.length < 400]
      end
      expect(refusals).to eq([["find-pattern.broken", true], ["list-pattern.broken", true],
                              ["own-broken.pattern", true], ["rule-broken", true]])
    end
  end

  it "takes what people write" do
    ['\bTRN-\d{4}\b', "(?<year>\\d{4})-(?:0[1-9]|1[0-2])", "[^\\[\\]]{1,80}", "a" * 1_900].each do |source|
      expect(described_class.compile(source)).to be_a(Regexp)
    end
    expect(Glossema::Segmentation::Srx.default.rules_for("en")).not_to be_empty
  end
end
