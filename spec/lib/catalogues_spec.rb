# Every sentence is there in each language of the interface, and names the same things in all of them.
RSpec.describe "The catalogues of texts" do
  flat = lambda do |texts, above = nil|
    texts.each_with_object({}) do |(key, value), all|
      name = [above, key].compact.join(".")
      value.is_a?(Hash) ? all.merge!(flat[value, name]) : all[name] = value
    end
  end
  named = ->(text) { text.to_s.scan(%r{\{\{[^\}]+\}\}|%[\{<][^\}>]+[\}>]|</?\d+/?>}).uniq.sort }
  sentences = lambda do |folder, language|
    files = Rails.root.glob("#{folder}/{*.,}#{language}.yml")
    files.map { |path| flat[YAML.load_file(path).fetch(language)] }.reduce(:merge)
  end
  interface = lambda do |language|
    flat[JSON.parse(Rails.root.join("frontend/shared/texts/#{language}.json").read)]
  end
  # What a sentence of one thing may leave out: the number that it says in a word.
  single = ->(key) { key.end_with?("_one", ".one") }
  # Only languages that count in millions have the one; English has the names of fields from their columns.
  own = ->(key) { key.end_with?("_many", ".many") || key.start_with?("attributes.") }

  languages = Rails.configuration.x.interface_languages - ["en"]
  letters = I18n.available_locales.map(&:to_s) - Rails.configuration.x.interface_languages

  it "name all kinds of things in the Trash" do
    expect(interface["en"].keys).to include(*TrashItem::KINDS.map { |kind| "trash.kinds.#{kind}" })
  end

  languages.each do |language|
    {
      "the interface" => interface,
      "refusals and words of the application" => ->(one) { sentences["config/locales", one] },
      "refusals of the core" => ->(one) { sentences["core/data/refusals", one] },
      "findings" => ->(one) { sentences["core/data/checks", one] },
      "places" => ->(one) { sentences["core/data/locations", one] }
    }.each do |part, texts|
      it "tells #{part} in #{language}, whole and with what each sentence names" do
        english, other = texts["en"], texts[language]
        expect(other.keys.reject(&own)).to match_array(english.keys)
        differ = english.keys.reject { |key| single[key] || named[other[key]] == named[english[key]] }
        expect(differ).to eq([])
        expect(other.select { |_, text| text.to_s.strip.empty? && text != "" }).to be_empty
      end
    end
  end

  letters.each do |language|
    it "tells what a quote says in #{language}, whole and with what each sentence names" do
      spoken = flat[JSON.parse(Rails.root.join("frontend/shared/texts/letters/#{language}.json").read)]
      first = flat[JSON.parse(Rails.root.join("frontend/shared/texts/letters/#{letters.first}.json").read)]
      expect(spoken.keys).to match_array(first.keys)
      written = sentences["config/locales", language]
      expect(written.keys).to match_array(sentences["config/locales", letters.first].keys)
      english = interface["en"].merge(sentences["config/locales", "en"])
      differ = spoken.merge(written).reject { |key, text| named[text] == named[english.fetch(key)] }
      expect(differ).to eq({})
    end
  end

  it "holds no text that nothing shows" do
    source = Rails.root.glob("frontend/**/*.{ts,tsx}").map(&:read).join("\n")
    words = source.scan(/['"`]([\w.-]+)/).flatten.to_set
    begun = source.scan(/`([\w.-]*)\$\{/).flatten.reject(&:empty?).uniq
    unused = interface["en"].keys.reject do |key|
      name = key.sub(/_(one|other|many|zero)\z/, "")
      words.include?(name) || begun.any? { |start| name.start_with?(start) }
    end
    expect(unused).to eq([])
  end
end
