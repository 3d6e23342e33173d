# The catalogue of refusals is whole: each sentence is told somewhere, each place that refuses has its
# sentence and gives what it names, and each code is tried by a spec.
RSpec.describe Glossema::Refusals do
  root = File.expand_path("../..", __dir__)
  told_in = lambda do |folders|
    Dir[File.join(root, "{#{folders.join(",")}}/**/*.rb")].flat_map do |path|
      source = File.read(path)
      source.scan(/Refused\.new\(\s*"([^"]+)"/).flatten.map { |key| [key, path] } +
        source.scan(/\brefuse\("([a-z][a-z.-]+)"/).flatten.map { |key| [key, path] } +
        source.scan(/\bdamaged\("([^"]+)"/).flatten.map { |key| ["damaged.#{key}", path] }
    end
  end
  catalogue = lambda do |path|
    YAML
      .load_file(File.join(root, path))
      .dig("en", "refusals")
      .flat_map do |code, sentence|
        next [code] if sentence.is_a?(String) || sentence.key?("other")

        sentence.keys.map { |variant| "#{code}.#{variant}" }
      end
  end
  own = catalogue["core/data/refusals/en.yml"]
  of_the_application = catalogue["config/locales/refusals.en.yml"]
  # "brief-open.#{what is open}" and the like: all variants of the code.
  spelled = ->(keys, key) {
    if key.include?("\#{")
      keys.select { |one|
        one.start_with?(key[/\A[^#]+/])
      }
    else
      [key]
    end
  }

  it "has a sentence for whatever the core refuses, and none that is never told" do
    told = told_in[["core/lib"]].map(&:first)
    expect(told.flat_map { |key| spelled[own, key] }.uniq).to match_array(own)
  end

  it "has a sentence for whatever the application refuses, and none that is never told" do
    all = own + of_the_application
    told = told_in[%w[app lib]].map(&:first).flat_map { |key| spelled[all, key] }.uniq
    expect(told - all).to eq([])
    expect(of_the_application - told).to eq([])
  end

  it "keeps every code to be tried by a spec" do
    specs = Dir[File.join(root, "{core/spec,spec}/**/*_spec.rb")].reject { |path| path == __FILE__ }
    text = specs.map { |path| File.read(path) }.join
    codes = (own + of_the_application).map { |key| key[/\A[^.]+/] }.uniq
    untried = codes.reject { |code| text.match?(/(?<![\w-])#{Regexp.escape(code)}(?![\w-])/) }
    expect(untried).to eq([])
  end

  it "tells a sentence with what it names, and fails for one it does not have" do
    expect(Glossema::Refused.new("hostile.columns", name: "wide.csv", most: 3)).to have_attributes(
      code: "hostile",
      message: "wide.csv was not opened. It has more than 3 columns."
    )
    expect { Glossema::Refused.new("hostile.columns", name: "wide.csv") }.to raise_error(KeyError)
    expect { Glossema::Refused.new("hostile.nothing", name: "wide.csv") }.to raise_error(KeyError)
  end
end
